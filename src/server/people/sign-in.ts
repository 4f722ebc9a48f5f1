import { toString as drawnCode } from "qrcode";
import type { SignInAnswer } from "@/data/sign-in-parts";
import type { Asker } from "../asker";
import type { CodesReply, MeReply, SignInReply } from "../contract";
import type { Context } from "../door";
import { Refusal } from "../refusal";
import type { CodeRequest, LinkRequest, NewPasswordRequest, SignInRequest } from "../requests";
import { serverStore } from "../store";
import { noteUse } from "../who-asks";

type Asked = Pick<Context, "store" | "asker">;

/** An answer with the cookies that go with it. */
function withCookies(body: SignInReply, cookies: readonly string[]): Response {
  const response = Response.json(body);
  for (const cookie of cookies) response.headers.append("Set-Cookie", cookie);
  return response;
}

const NAME_OR_PASSWORD = "The name or the password is not right.";
const MINUTE_S = 60;

/** @throws Refusal where nobody was let in, with a sentence that says nothing of which part was wrong */
export function answered(answer: SignInAnswer, wrong: string): Response {
  switch (answer.kind) {
    case "in":
    case "code":
      return withCookies({ step: answer.kind }, answer.cookies);
    case "slow":
      throw new Refusal(429, slowSentence(answer.seconds));
    case "refused":
      throw new Refusal(422, answer.sentence);
    case "wrong":
      throw new Refusal(403, wrong);
  }
}

const slowSentence = (seconds: number) =>
  `Too many attempts failed. Wait ${seconds > MINUTE_S ? `${Math.ceil(seconds / MINUTE_S)} minutes` : `${seconds} seconds`} and try again.`;

/** Signs in by name and password; whoever was signed in at this screen is so no more. */
export async function signInByName(
  { store, asker }: Asked,
  { name, password }: SignInRequest,
): Promise<Response> {
  const kept = await store();
  const answer = await kept.signIn({ ...asker.visit, cookie: "" }, name.trim(), password);
  const response = answered(answer, NAME_OR_PASSWORD);
  if (asker.visit.cookie) await kept.signOut(asker.visit);
  return response;
}

/** The second step of signing in. */
export async function signInByCode({ store, asker }: Asked, { code }: CodeRequest): Promise<Response> {
  return answered(await (await store()).giveCode(asker.visit, code), "The code is not right, or is over.");
}

/** Sets a password by a link, and signs in. */
export async function signInByLink(
  { store, asker }: Asked,
  { link, password }: LinkRequest,
): Promise<Response> {
  const answer = await (await store()).takeLink({ ...asker.visit, cookie: "" }, link, password);
  return answered(answer, "The link was used, or is older than a day. Ask for another one.");
}

export async function signOutHere({ store, asker }: Asked): Promise<Response> {
  return withCookies({ step: "out" }, await (await store()).signOut(asker.visit));
}

/** Ends all sign-ins of whoever asks, this one too. */
export async function signOutEverywhere({ store, asker }: Asked): Promise<Response> {
  if (asker.person) await (await store()).signOutEverywhere(asker.person.id);
  return signOutHere({ store, asker });
}

export async function lockHere({ store, asker }: Asked): Promise<SignInReply> {
  if (asker.signIn) await (await store()).lockScreen(asker.signIn);
  return { step: "locked" };
}

export async function unlockHere({ store, asker }: Asked, password: string): Promise<SignInReply> {
  const answer = await (await store()).unlockScreen(asker.visit, password);
  if (answer.kind === "in") return { step: "in" };
  if (answer.isOver) throw new Refusal(401, "Sign in again.", undefined, "needed");
  throw new Refusal(403, "The password is not right.");
}

/** Somebody is at the keys. */
export async function stillHere({ store, asker }: Asked): Promise<SignInReply> {
  if (!asker.signIn) return { step: "in" };
  noteUse(asker.visit.cookie);
  await (await store()).stillHere(asker.signIn);
  return { step: "in" };
}

/** Who is signed in, and what they may. */
export const meOf = ({ person, rights, needsCodes }: Asker): MeReply => ({
  person,
  rights: [...rights],
  needsCodes,
});

const WRONG_PASSWORD = "The password is not right.";

export async function changeOwnPassword(
  { store, asker }: Asked,
  { old, password }: NewPasswordRequest,
): Promise<Response> {
  return answered(
    await (await store()).changePassword(asker.visit, old, password),
    "The old password is not right.",
  );
}

/** Begins one-time codes: what a program for them is set up with, and the recovery codes, which are shown once. */
export async function beginOwnCodes({ store, asker }: Asked, password: string): Promise<CodesReply> {
  const begun = await (await store()).beginCodes(asker.visit, password);
  if (begun.kind !== "begun") {
    answered(begun, WRONG_PASSWORD);
    throw new Refusal(409, "There are one-time codes already; end them first.");
  }
  const secret = new URL(begun.address).searchParams.get("secret") ?? "";
  const picture = await drawnCode(begun.address, { type: "svg", margin: 2 });
  return { address: begun.address, picture, secret, recovery: begun.recovery };
}

export async function confirmOwnCodes({ store, asker }: Asked, { code }: CodeRequest): Promise<Response> {
  return answered(await (await store()).confirmCodes(asker.visit, code), "The code is not right.");
}

export async function endOwnCodes({ store, asker }: Asked, password: string): Promise<Response> {
  return answered(await (await store()).endCodes(asker.visit, password), WRONG_PASSWORD);
}

/** Whose a link is, for the page that it opens; null where it was used or is too old. */
export async function nameOfLink(link: string): Promise<string | null> {
  return (await (await serverStore()).personOfLink(link))?.name ?? null;
}
