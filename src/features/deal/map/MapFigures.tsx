import { ClipboardCopy } from "lucide-react";
import { copyText } from "@/features/figures/copy-text";
import type { MapWriter } from "./map-words";
import type { MadeMap } from "./use-map";

type Props = {
  made: MadeMap;
  write: MapWriter;
  name: string;
};

/** The map as a grid of figures. */
export function MapFigures({ made, write, name }: Props) {
  const { question, answer } = made;
  const { figure } = question;
  const [across, up] = [question.across.axis, question.up.axis];
  const columns = question.across.values;
  const rows = question.up.values;
  const shown = (row: number, column: number) => {
    const value = answer.values[row * columns.length + column] ?? Number.NaN;
    return Number.isNaN(value) ? "–" : write.shown(figure, value);
  };
  const copy = () => {
    const heading = [
      `${write.axis(up)} \\ ${write.axis(across)}`,
      ...columns.map(value => write.copied(across, value)),
    ];
    const lines = rows.map((value, row) => [
      write.copied(up, value),
      ...columns.map((_, column) => {
        const figureAt = answer.values[row * columns.length + column] ?? Number.NaN;
        return Number.isNaN(figureAt) ? "" : write.copiedFigure(figure, figureAt);
      }),
    ]);
    void copyText([heading, ...lines].map(cells => cells.join("\t")).join("\n"));
  };
  return (
    <>
      <div className="flex items-center gap-2">
        <p className="text-faint text-sm">
          The {name} at {rows.length * columns.length} places: {write.axis(across)} across, {write.axis(up)}{" "}
          down the side
        </p>
        <button type="button" className="btn btn-ghost btn-sm ml-auto" onClick={copy}>
          <ClipboardCopy size={15} aria-hidden="true" />
          Copy for a spreadsheet
        </button>
      </div>
      {/* The keyboard scrolls a region only when it has the focus. */}
      <section aria-label={`The ${name} as figures`} className="h-96 overflow-auto" tabIndex={0}>
        <table className="border-separate border-spacing-0 text-right text-sm">
          <thead>
            <tr>
              <th
                scope="col"
                className="sticky top-0 left-0 z-20 bg-base-200 px-2 py-1 text-left font-normal text-faint"
              >
                {write.axis(up)}
              </th>
              {columns.map(value => (
                <th key={value} scope="col" className="sticky top-0 z-10 bg-base-200 px-2 py-1 font-semibold">
                  {write.onAxis(across, value)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((value, row) => (
              <tr key={value}>
                <th scope="row" className="sticky left-0 bg-base-200 px-2 font-semibold">
                  {write.onAxis(up, value)}
                </th>
                {columns.map((each, column) => (
                  <td key={each} className="px-2">
                    {shown(row, column)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </>
  );
}
