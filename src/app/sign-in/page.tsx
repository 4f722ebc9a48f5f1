import type { Metadata } from "next";
import { redirect } from "next/navigation";
import { type AtTheDoor, SignInScreen } from "@/features/sign-in/SignInScreen";
import { directoryName } from "@/server/people/directory";
import { nameOfLink } from "@/server/people/sign-in";
import { houseSettings } from "../house";
import { standing } from "../visit";

export const metadata: Metadata = { title: "Sign in" };

type Props = { searchParams: Promise<Record<string, string | string[] | undefined>> };

/** The way in: the one page that is shown to whoever comes. */
export default async function SignInPage({ searchParams }: Props) {
  const { to, link, why } = await searchParams;
  const { settings } = await houseSettings();
  const place = ownPath(to);
  const door = await doorFor(typeof link === "string" ? link : undefined);
  if (!door) redirect(place);
  return (
    <SignInScreen
      house={settings.houseName}
      door={door}
      to={place}
      trouble={why === "directory" ? NOT_LET_IN : ""}
    />
  );
}

const NOT_LET_IN =
  "The directory has not said that you work here. Somebody has to be added here by the same name first.";

/** What is to be done; nothing where one is in already. */
async function doorFor(link: string | undefined): Promise<AtTheDoor | undefined> {
  if (link !== undefined) return { kind: "link", link, name: await nameOfLink(link) };
  const at = await standing();
  if (at.at !== "inside") return { kind: "name", house: directoryName() };
  return at.asker.needsCodes ? { kind: "codes" } : undefined;
}

/** A path of our own, and no other address: the first slash is followed by none. */
const ownPath = (to: string | string[] | undefined): string =>
  typeof to === "string" && /^\/(?![/\\])[^\\]*$/.test(to) && !to.startsWith("/sign-in") ? to : "/";
