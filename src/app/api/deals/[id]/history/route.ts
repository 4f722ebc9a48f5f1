import { answer, readId } from "@/server/door";
import { dealHistory } from "@/server/history";
import { serverStore } from "@/server/store";

type Context = { params: Promise<{ id: string }> };

export const GET = (_request: Request, { params }: Context) =>
  answer(async () => dealHistory(await serverStore(), await readId(params)));
