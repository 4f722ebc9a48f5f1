import type { Asides } from "@/exchange/deal-document";
import { withOptional } from "@/exchange/members";

type OfOption = NonNullable<Asides["options"]>[string];

/** Asides with something of an option as it is now; what is undefined, and an option of which nothing is left, is taken out. */
export function withAside<Member extends keyof OfOption>(
  asides: Asides,
  id: string,
  member: Member,
  value: OfOption[Member] | undefined,
): Asides {
  const ofOption = withOptional(asides.options?.[id] ?? {}, member, value);
  const isEmpty = Object.keys(ofOption).length === 0;
  const options = withOptional(asides.options ?? {}, id, isEmpty ? undefined : ofOption);
  return withOptional(asides, "options", Object.keys(options).length > 0 ? options : undefined);
}
