import { answerNamedFile, readBody } from "@/server/door";
import { tableFile } from "@/server/papers/table-file";
import { checkTable } from "@/server/requests";

/** A table as a screen shows it, as a workbook; nothing is kept. */
export const POST = (request: Request) =>
  answerNamedFile(request, "signedIn", async () => tableFile(await readBody(request, checkTable)));
