import { answer } from "@/server/door";
import { suggestedNames } from "@/server/names";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answer(request, "seeDeals", async ({ store }) =>
    suggestedNames(await store(), new URL(request.url).searchParams),
  );
