import { answerNamedFile, readId } from "@/server/door";
import { recapOf } from "@/server/papers/recap";

type Context = { params: Promise<{ id: string }> };

export const GET = (request: Request, { params }: Context) =>
  answerNamedFile(request, async ({ store }) => recapOf(await store(), await readId(params), request));
