import { answerNamedFile, isUuid, readId } from "@/server/door";
import { givenPaperOf } from "@/server/papers/papers";
import { Refusal } from "@/server/refusal";

type Context = { params: Promise<{ id: string; paper: string }> };

export const GET = (request: Request, { params }: Context) =>
  answerNamedFile(request, "seeDeals", async ({ store, note }) => {
    const id = await readId(params);
    const { paper } = await params;
    if (!isUuid(paper)) throw new Refusal(404, "There is no such paper of this deal.");
    await note("sawPaper", id);
    return givenPaperOf(await store(), id, paper);
  });
