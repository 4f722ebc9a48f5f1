export const ROW_HEIGHT = 27;

/** The room of lines that are not drawn. */
export function Spacer({ height, columns }: { height: number; columns: number }) {
  return (
    <tr>
      <td colSpan={columns} style={{ height, padding: 0 }} />
    </tr>
  );
}
