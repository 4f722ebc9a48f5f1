import type { NeedsRelease } from "@/exchange/releases";
import type { DealerReply, DealReply, SignInNeed } from "./contract";

/** A request that is turned down, with its HTTP status and one plain sentence. */
export class Refusal extends Error {
  constructor(
    readonly status: 400 | 401 | 403 | 404 | 409 | 410 | 413 | 415 | 422 | 429 | 503,
    sentence: string,
    /** With a conflict: the deal as it is saved now, or its dealer's part. */
    readonly current?: DealReply | DealerReply,
    /** What has to be done first by whoever asks. */
    readonly signIn?: SignInNeed,
    /** What a manager has to release first. */
    readonly release?: NeedsRelease[],
  ) {
    super(sentence);
  }
}
