import { answer, readId } from "@/server/door";
import { dealHistory } from "@/server/history";

type Context = { params: Promise<{ id: string }> };

export const GET = (request: Request, { params }: Context) =>
  answer(request, async ({ store }) => dealHistory(await store(), await readId(params)));
