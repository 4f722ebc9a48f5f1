/** Takes a part out of the plan. */
export function TakeOut({ name, onClick }: { name: string; onClick: () => void }) {
  return (
    <button
      type="button"
      aria-label={`Remove: ${name}`}
      className="cursor-pointer text-primary text-sm underline decoration-dotted underline-offset-2"
      onClick={onClick}
    >
      remove
    </button>
  );
}
