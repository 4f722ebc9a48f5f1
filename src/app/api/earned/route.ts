import { answer } from "@/server/door";
import { earnedIn } from "@/server/earned";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answer(request, "seeEarned", async ({ store, asker, note }) => {
    await note("sawEarned");
    return earnedIn(
      await store(),
      new URL(request.url).searchParams.get("month"),
      new Date(),
      asker.person !== null,
    );
  });
