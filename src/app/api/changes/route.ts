import { changesStream } from "@/server/changes/stream";
import { answerStream } from "@/server/door";
import { readFollowed } from "@/server/followed";

export const dynamic = "force-dynamic";

/** What becomes of what a page shows, as it happens. */
export const GET = (request: Request) =>
  answerStream(request, async () => changesStream(readFollowed(request)));
