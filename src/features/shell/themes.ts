import type { Settings } from "@/exchange/settings";

/** The theme of each appearance; as the system asks where none is named. */
export const THEME_OF: Record<Settings["appearance"], "paper" | "lamplight" | undefined> = {
  system: undefined,
  light: "paper",
  dark: "lamplight",
};
