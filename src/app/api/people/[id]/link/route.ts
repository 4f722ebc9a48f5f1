import { answer, readPersonId } from "@/server/door";
import { linkFor } from "@/server/people/people";

type Context = { params: Promise<{ id: string }> };

export const POST = (request: Request, { params }: Context) =>
  answer(request, "handLinks", async ({ store, asker }) =>
    linkFor(await store(), asker, await readPersonId(params)),
  );
