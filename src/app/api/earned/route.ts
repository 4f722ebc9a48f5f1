import { answer } from "@/server/door";
import { earnedIn } from "@/server/earned";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answer(request, async ({ store }) =>
    earnedIn(await store(), new URL(request.url).searchParams.get("month"), new Date()),
  );
