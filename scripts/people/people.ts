// Makes those who work here, from the server itself: the first one, before anybody can sign in, and a link for whoever cannot.
import { existsSync } from "node:fs";
import { resolve } from "node:path";
import { openDatabase } from "@/data/embedded/open-folder";
import { storeOf } from "@/data/embedded/store-here";
import type { PersonRefusal } from "@/data/people";
import { openStoreOnServer } from "@/data/postgres/open-store-on-server";
import type { Store } from "@/data/store";
import { ROLE_NAMES, type Role } from "@/exchange/people";
import { dataFolder } from "@/server/data-folder";
import { databaseUrl } from "@/server/data-place";
import { fail } from "../backup/fail";

const USAGE = `npm run people                                 lists those who work here
npm run people -- add NAME [--name "Full Name"] [--roles manager,officer] [--branch BRANCH]
                                               adds somebody and prints a link; the first one is an administrator
npm run people -- link NAME                    prints a link by which somebody sets a new password`;

const REFUSALS: Record<PersonRefusal, string> = {
  taken: "Somebody signs in by this name already.",
  lastAdministrator: "Somebody has to be an administrator.",
  notTheFirst: "Somebody has a name here already.",
  gone: "There is no such person.",
};

type Options = { name?: string; roles?: string; branch?: string };

/** Does what is asked, and says what came of it. Gives the exit code. */
export async function people([what, username, ...rest]: string[]): Promise<number> {
  const isKnown = what === undefined || ((what === "add" || what === "link") && username !== undefined);
  if (!isKnown) return fail(`Say what to do:\n${USAGE}`);
  try {
    await withStore(async store => {
      if (what === "add") await add(store, username ?? "", optionsIn(rest));
      else if (what === "link") await link(store, username ?? "");
      else await list(store);
    });
    return 0;
  } catch (error) {
    return fail(error instanceof Error ? error.message : String(error));
  }
}

function optionsIn(words: readonly string[]): Options {
  const options: Options = {};
  for (let place = 0; place < words.length; place += 2) {
    const [, name] = /^--(name|roles|branch)$/.exec(words[place] ?? "") ?? [];
    const value = words[place + 1];
    if (!name || value === undefined) throw new Error(`Say what to do:\n${USAGE}`);
    options[name as keyof Options] = value;
  }
  return options;
}

async function add(store: Store, username: string, { name, roles, branch }: Options): Promise<void> {
  if (!/^[A-Za-z0-9._-]{2,40}$/.test(username))
    throw new Error(`${username} is no name to sign in by: 2 to 40 letters, digits, dots and hyphens.`);
  const isFirst = !(await store.hasPeople());
  const wanted = isFirst ? ["administrator", ...rolesIn(roles ?? "manager,officer")] : rolesIn(roles ?? "");
  const added = await store.addPerson({
    name: name ?? username,
    username,
    roles: [...new Set(wanted)] as Role[],
    branch: branch ?? null,
  });
  if (typeof added === "string") throw new Error(REFUSALS[added]);
  console.log(`${added.name} is added: ${added.roles.join(", ") || "no roles yet"}.`);
  await sayLink(store, added.id);
}

function rolesIn(text: string): Role[] {
  const named = text.split(",").filter(Boolean);
  const unknown = named.find(each => !ROLE_NAMES.includes(each as Role));
  if (unknown) throw new Error(`${unknown} is no role; there are ${ROLE_NAMES.join(", ")}.`);
  return named as Role[];
}

async function link(store: Store, username: string): Promise<void> {
  const person = (await store.listPeople()).find(each => each.username === username.toLowerCase());
  if (!person) throw new Error(`Nobody signs in as ${username}.`);
  await sayLink(store, person.id);
}

async function sayLink(store: Store, id: string): Promise<void> {
  const address = process.env.KELLUX_ORIGIN ?? `http://localhost:${process.env.PORT || 4310}`;
  console.log(`Sets a password, once, within a day: ${address}/sign-in?link=${await store.makeLink(id)}`);
}

async function list(store: Store): Promise<void> {
  const all = await store.listPeople();
  if (all.length === 0) console.log("Nobody has a name yet.");
  for (const { name, username, roles, branch, hasLeft, hasCodes } of all)
    console.log(
      [username, name, roles.join(", ") || "no roles", branch, hasCodes && "codes", hasLeft && "has left"]
        .filter(Boolean)
        .join(" · "),
    );
}

/** The data, on a server or in a folder that no app has open. */
async function withStore(work: (store: Store) => Promise<void>): Promise<void> {
  const url = databaseUrl();
  if (url) {
    const { store, close } = openStoreOnServer(url);
    await work(store).finally(close);
    return;
  }
  const folder = dataFolder();
  if (!existsSync(folder)) throw new Error(`There is no data folder ${resolve(folder)}; npm start makes it.`);
  const { database, sync, close } = await openDatabase(folder);
  await work(storeOf(database, sync)).finally(close);
}
