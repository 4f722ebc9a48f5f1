import { CodesForm } from "@/features/people/CodesForm";

/** The house wants one-time codes of everybody: set up before anything else. */
export function SetUpCodes({ onDone }: { onDone: () => void }) {
  return (
    <div className="mt-4 grid gap-3">
      <h1 className="font-semibold text-2xl">Set up one-time codes</h1>
      <p>The house asks for a code of everybody who signs in. A program for one-time codes shows it.</p>
      <CodesForm onDone={onDone} />
    </div>
  );
}
