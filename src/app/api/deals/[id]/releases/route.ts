import { answer, readBody, readId } from "@/server/door";
import { openReleases, release } from "@/server/people/releases";
import { checkReleaseRequest } from "@/server/requests";

type Context = { params: Promise<{ id: string }> };

export const dynamic = "force-dynamic";

export const GET = (request: Request, { params }: Context) =>
  answer(request, "signDeals", async ({ store, asker }) =>
    openReleases(await store(), asker, await readId(params)),
  );

export const POST = (request: Request, { params }: Context) =>
  answer(
    request,
    "release",
    async ({ store }) => {
      const id = await readId(params);
      const body = await readBody(request, checkReleaseRequest);
      return release(await store(), id, body);
    },
    201,
  );
