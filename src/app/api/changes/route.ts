import { changesStream } from "@/server/changes/stream";
import { answerStream } from "@/server/door";
import { readFollowed } from "@/server/followed";
import { isStillIn } from "@/server/who-asks";

export const dynamic = "force-dynamic";

/** What becomes of what a page shows, as it happens. */
export const GET = (request: Request) =>
  answerStream(request, "signedIn", async ({ store }) => {
    const followed = readFollowed(request);
    if (typeof followed !== "string") await (await store()).versionOf(followed.deal);
    return changesStream(followed, () => isStillIn(request.headers));
  });
