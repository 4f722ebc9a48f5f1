/** Said on a page of which the roles of whoever asks show nothing. */
export function NotShown({ what }: { what: string }) {
  return (
    <div className="mx-auto max-w-xl p-8">
      <h1 className="font-semibold text-2xl">Your roles show you no {what}</h1>
      <p className="mt-2">What you may see and do is settled by an administrator of the house.</p>
      <p className="mt-4">
        <a className="btn btn-primary btn-sm" href="/people">
          See your roles
        </a>
      </p>
    </div>
  );
}
