import { headers } from "next/headers";
import { redirect } from "next/navigation";
import { cache } from "react";
import type { Right } from "@/exchange/people";
import type { Asker } from "@/server/asker";
import { storeOf } from "@/server/guarded-store";
import { meOf } from "@/server/people/sign-in";
import { type Standing, standingOf } from "@/server/who-asks";

/** Where whoever asks for a page stands; looked at once for a page and its frame. */
export const standing = cache(async (): Promise<Standing> => standingOf(await headers()));

/** Who asks for a page; whoever is not signed in signs in first, and comes back to it. */
export const visitor = cache(async (): Promise<Asker> => {
  const at = await standing();
  if (at.at === "inside" && !at.asker.needsCodes) return at.asker;
  const path = (await headers()).get("x-kellux-path") ?? "/";
  redirect(`/sign-in${path === "/" ? "" : `?to=${encodeURIComponent(path)}`}`);
});

/** What the page itself may know of who is signed in. */
export const me = cache(async () => meOf(await visitor()));

/** The store of whoever asks, where they have a right to the page; undefined where they have not. */
export async function storeFor(right: Right) {
  const asker = await visitor();
  return asker.rights.has(right) ? storeOf(asker) : undefined;
}

/** The store of whoever asks, whatever their roles: for what is theirs as one of the house. */
export const ownStore = async () => storeOf(await visitor());
