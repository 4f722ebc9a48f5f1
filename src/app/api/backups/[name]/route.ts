import { keptCopy, wholeCopy } from "@/server/backups";
import { dataFolder } from "@/server/data-folder";
import { answerFile } from "@/server/door";
import { Refusal } from "@/server/refusal";

type Context = { params: Promise<{ name: string }> };

export const GET = async (request: Request, { params }: Context) => {
  const { name } = await params;
  return answerFile(request, "keepBackups", name, "application/gzip", async ({ note }) => {
    await note("madeBackup");
    const path = keptCopy(dataFolder(), name);
    if (!path) throw new Refusal(404, "There is no copy of this name.");
    return wholeCopy(path);
  });
};
