import { answerNamedFile, readId } from "@/server/door";
import { recapOf } from "@/server/papers/recap";

type Context = { params: Promise<{ id: string }> };

export const GET = (request: Request, { params }: Context) =>
  answerNamedFile(request, "seeDealersSide", async ({ store, note }) => {
    const id = await readId(params);
    await note("sawDealersSide", id);
    return recapOf(await store(), id, request);
  });
