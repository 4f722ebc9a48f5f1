import { answer } from "@/server/door";
import { openDoings, readDoingsAsked } from "@/server/people/doings";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answer(request, "seeDoings", async ({ store }) =>
    openDoings(await store(), readDoingsAsked(new URL(request.url).searchParams)),
  );
