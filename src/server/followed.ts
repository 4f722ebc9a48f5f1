import { type Followed, LISTS } from "./changes/stream";
import { isUuid } from "./door";
import { Refusal } from "./refusal";

/** What a page follows, from the address: ?of=stock, or ?deal=ID&page=ID&browser=ID. */
export function readFollowed(request: Request): Followed {
  const asked = new URL(request.url).searchParams;
  const of = asked.get("of");
  if (of !== null) {
    const list = LISTS.find(each => each === of);
    if (!list) throw new Refusal(400, `The address can follow ${LISTS.join(", ")}, or a deal.`);
    return list;
  }
  const [deal, page, browser] = [asked.get("deal"), asked.get("page"), asked.get("browser")];
  if (!isUuid(deal) || !isUuid(page) || !isUuid(browser))
    throw new Refusal(400, "The address must name the deal, the page and the browser, each by a UUID.");
  return { deal, page, browser };
}
