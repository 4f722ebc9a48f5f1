/** What a chart is drawn into, in dots: how large it is, and the room around what is drawn. */
export type Frame = {
  width: number;
  height: number;
  margin: { top: number; right: number; bottom: number; left: number };
};
