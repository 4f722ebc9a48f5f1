/** What the columns of a table of people are called; the last may be for eyes that do not see. */
export function ColumnHeads({ names, unseen }: { names: readonly string[]; unseen?: string }) {
  return (
    <thead>
      <tr className="text-left text-faint text-sm">
        {names.map(name => (
          <th key={name} scope="col" className="py-1 pr-3 font-normal">
            {name}
          </th>
        ))}
        {unseen && (
          <th scope="col">
            <span className="sr-only">{unseen}</span>
          </th>
        )}
      </tr>
    </thead>
  );
}
