/** The data folder of this server. */
export function dataFolder(): string {
  return process.env.KELLUX_DATA_DIR || ".kellux";
}
