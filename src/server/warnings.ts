import { lowSpace } from "./space";
import { damageFound } from "./whole";

/** What whoever works here should know of the server: that something is damaged, or that little room is left. */
export const serverWarning = async (folder: string): Promise<string | undefined> =>
  damageFound() ?? lowSpace(folder);
