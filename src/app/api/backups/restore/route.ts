import { answer, readBody, refuseCut } from "@/server/door";
import { Refusal } from "@/server/refusal";
import { checkRestoreRequest } from "@/server/requests";
import { restoreBackup } from "@/server/restore-backup";

export const POST = (request: Request) =>
  answer(request, "keepBackups", async ({ note }) => {
    await note("restoredBackup");
    if (request.headers.get("content-type") !== "application/gzip") {
      return restoreBackup((await readBody(request, checkRestoreRequest)).copy);
    }
    if (!request.body) throw new Refusal(400, "The backup is missing.");
    return restoreBackup(request.body, size => refuseCut(request, size));
  });
