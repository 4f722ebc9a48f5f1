import { DeskFrame } from "./desk-frame";

export default function NotFound() {
  return (
    <DeskFrame>
      <div className="mx-auto max-w-xl p-8">
        <h1 className="font-semibold text-2xl">There is nothing at this address</h1>
        <p className="mt-2">No deal was ever kept here; the address may not be whole.</p>
        <p className="mt-4">
          <a className="btn btn-primary btn-sm" href="/">
            Go to the deals
          </a>
        </p>
      </div>
    </DeskFrame>
  );
}
