import { serverDatabase } from "@/server/database";
import { restoreDeal } from "@/server/deals";
import { answer, readId } from "@/server/door";

type Context = { params: Promise<{ id: string }> };

export const POST = (_request: Request, { params }: Context) =>
  answer(async () => restoreDeal(await serverDatabase(), await readId(params)));
