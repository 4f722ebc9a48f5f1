import type { DealerReply, DealReply } from "./contract";

/** A request that is turned down, with its HTTP status and one plain sentence. */
export class Refusal extends Error {
  constructor(
    readonly status: 400 | 403 | 404 | 409 | 410 | 413 | 415 | 422 | 503,
    sentence: string,
    /** With a conflict: the deal as it is saved now, or its dealer's part. */
    readonly current?: DealReply | DealerReply,
  ) {
    super(sentence);
  }
}
