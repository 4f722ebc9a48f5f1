type Props = {
  title: string;
  /** What the months are: "kept for months". */
  head: string;
  months: readonly number[];
  columns: readonly { key: string; name: string; at: (month: number) => string }[];
};

/** What lines over months say, as a table. */
export function MonthTable({ title, head, months, columns }: Props) {
  return (
    <section aria-label={title} tabIndex={0} className="overflow-x-auto">
      <table className="mt-1 text-right">
        <caption className="sr-only">{title}</caption>
        <thead>
          <tr>
            <th scope="col" className="pr-6 text-left font-normal text-faint">
              {head}
            </th>
            {columns.map(({ key, name }) => (
              <th key={key} scope="col" className="pl-6 font-semibold">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {months.map(month => (
            <tr key={month}>
              <th scope="row" className="text-left font-normal">
                {month}
              </th>
              {columns.map(({ key, at }) => (
                <td key={key} className="pl-6">
                  {at(month)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
