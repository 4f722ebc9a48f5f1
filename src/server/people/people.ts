import type { PersonRefusal } from "@/data/people";
import type { Store } from "@/data/store";
import type { Person } from "@/exchange/people";
import type { Asker } from "../asker";
import type { ColleaguesReply, LinkReply, SignInReply } from "../contract";
import { allow, type Context } from "../door";
import { Refusal } from "../refusal";
import type { PersonRequest } from "../requests";
import { answered } from "./sign-in";

const REFUSALS: Record<PersonRefusal, [status: 404 | 409 | 422, sentence: string]> = {
  taken: [422, "Somebody signs in by this name already; take another."],
  lastAdministrator: [422, "Somebody has to be an administrator; make another one first."],
  notTheFirst: [409, "Somebody has a name here already; sign in first."],
  gone: [404, "There is no such person."],
};

function refused(refusal: PersonRefusal): never {
  const [status, sentence] = REFUSALS[refusal];
  throw new Refusal(status, sentence);
}

/** Everybody, and the branches; whoever does not keep people is told names alone. */
export async function openPeople(store: Store, { rights }: Asker): Promise<ColleaguesReply> {
  const [people, branches] = [await store.listPeople(), await store.listBranches()];
  const isKeeper = rights.has("keepPeople");
  return {
    branches,
    people: people.map(person =>
      isKeeper ? person : { ...person, username: "", hasCodes: false, hasPassword: false },
    ),
  };
}

/**
 * Adds somebody. The first person is made by whoever is at the desk, gives a password at once, and is signed in by it: from
 * then on everybody signs in.
 */
export async function addPerson(
  { store, asker }: Pick<Context, "store" | "asker">,
  { password, ...sent }: PersonRequest,
): Promise<Response> {
  const kept = await store();
  const isFirst = asker.person === null;
  if (isFirst && !sent.roles.includes("administrator"))
    throw new Refusal(422, "The first person is an administrator, who makes the others.");
  if (isFirst && password === undefined) throw new Refusal(422, "Give a password, too.");
  if (isFirst) {
    const made = await kept.makeFirst(asker.visit, settledOf(sent), password ?? "");
    return typeof made === "string" ? refused(made) : answered(made, "");
  }
  const added = await kept.addPerson(settledOf(sent));
  return typeof added === "string" ? refused(added) : Response.json({ person: added }, { status: 201 });
}

export async function changePerson(
  store: Store,
  id: string,
  { password: _, hasLeft = false, ...sent }: PersonRequest,
): Promise<{ person: Person }> {
  const changed = await store.changePerson(id, { ...settledOf(sent), hasLeft });
  if (typeof changed === "string") refused(changed);
  return { person: changed };
}

const settledOf = ({ name, username, roles, branch }: PersonRequest) => ({
  name: name.replace(/\s+/g, " ").trim(),
  username,
  roles: [...new Set(roles)],
  branch: branch?.replace(/\s+/g, " ").trim() || null,
});

/** A link by which somebody sets a password, to be handed over: there is no mail. A manager makes none for an administrator. */
export async function linkFor(store: Store, asker: Asker, id: string): Promise<LinkReply> {
  const person = await store.personOf(id);
  if (!person) refused("gone");
  allow(asker, person.roles.includes("administrator") ? "keepPeople" : "handLinks");
  if (person.hasLeft) throw new Refusal(409, `${person.name} has left; take them back first.`);
  return { path: `/sign-in?link=${await store.makeLink(id)}` };
}

/** Ends all sign-ins of somebody. */
export async function signOutPerson(store: Store, id: string): Promise<SignInReply> {
  if (!(await store.personOf(id))) refused("gone");
  await store.signOutEverywhere(id);
  return { step: "out" };
}
