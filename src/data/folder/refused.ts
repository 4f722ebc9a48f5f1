import { DataRefused } from "../refused";

/** A data folder that cannot be used, in a sentence for the person at the terminal. */
export class FolderRefused extends DataRefused {}

/** Said when another live process holds the data folder, or may hold it. */
export class FolderInUse extends FolderRefused {}

/** The system's own word for why a file cannot be used: "EACCES". */
export const codeOf = (error: unknown): string => (error as NodeJS.ErrnoException).code ?? String(error);
