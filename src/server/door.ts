import { Readable } from "node:stream";
import { isDatabaseAway } from "@/data/away";
import { failureOf } from "@/data/failure";
import type { Store } from "@/data/store";
import { takingTurns } from "@/data/turns";
import type { Checked } from "@/exchange/checks";
import type { Doing, Right } from "@/exchange/people";
import { readJson, sizeText } from "@/exchange/text";
import { type Asker, nobody } from "./asker";
import { AWAY } from "./away";
import type { RefusalReply } from "./contract";
import { dataFolder } from "./data-folder";
import { storeOf } from "./guarded-store";
import { askingCounter } from "./rates-of-asking";
import { Refusal } from "./refusal";
import { visitOf } from "./visit";
import { refuseOutside, standingOf } from "./who-asks";
import { damageSentence } from "./whole";

/** The largest body that is read, in bytes: a deal of the largest deal file, with room to spare. */
const LARGEST_BODY = 500_000;

/** The same where a deal file comes as text inside JSON, which escapes every quotation mark of it. */
export const LARGEST_IMPORT = 2 * LARGEST_BODY;

/** Never kept by a browser, and not packed: that would keep the thread busy that serves everyone. */
const AS_IT_IS = { "Cache-Control": "no-store, no-transform" };

/** What a route has to work with, of the one who asks. */
export type Context = {
  request: Request;
  /** The database, as far as it is theirs; asked for once what was sent is known to be good. */
  store: () => Promise<Store>;
  asker: Asker;
  /** Notes what somebody does that changes nothing, before it is done. */
  note: (what: Doing, of?: string) => Promise<void>;
};

/** Who may ask: whoever has a right, anybody who is signed in, or a stranger, too. */
export type May = Right | "signedIn" | "stranger";

type Work<Answered> = (context: Context) => Promise<Answered>;

/** Runs a route: what it returns becomes JSON, a refusal becomes its status with a sentence. */
export const answer = (request: Request, may: May, work: Work<unknown>, status = 200): Promise<Response> =>
  answerWith(async () =>
    Response.json(await work(await contextOf(request, may)), { status, headers: AS_IT_IS }),
  );

/** The same where the answer brings headers of its own, such as cookies. */
export const answerAsIs = (request: Request, may: May, work: Work<Response>): Promise<Response> =>
  answerWith(async () => {
    const response = await work(await contextOf(request, may));
    for (const [name, value] of Object.entries(AS_IT_IS)) response.headers.set(name, value);
    return response;
  });

/** The same for what is JSON already. */
export const answerJson = (request: Request, may: May, work: Work<string>): Promise<Response> =>
  answerWith(
    async () =>
      new Response(await work(await contextOf(request, may)), {
        headers: { ...AS_IT_IS, "Content-Type": "application/json" },
      }),
  );

/** The same for a route that gives a file to keep. */
export const answerFile = (
  request: Request,
  may: May,
  name: string,
  type: string,
  work: Work<Readable>,
): Promise<Response> =>
  answerNamedFile(request, may, async context => ({ fileName: name, type, bytes: await work(context) }));

/** The same where what it is called follows from what is in it. */
export const answerNamedFile = (
  request: Request,
  may: May,
  work: Work<{ fileName: string; type: string; bytes: Readable }>,
): Promise<Response> =>
  answerWith(async () => {
    const { fileName, type, bytes } = await work(await contextOf(request, may));
    return new Response(Readable.toWeb(bytes) as ReadableStream<Uint8Array>, {
      headers: { ...AS_IT_IS, "Content-Type": type, "Content-Disposition": asAttachment(fileName) },
    });
  });

/** The same for what goes on for as long as somebody listens, as server-sent events; no proxy is to hold it back. */
export const answerStream = (
  request: Request,
  may: May,
  work: Work<ReadableStream<Uint8Array>>,
): Promise<Response> =>
  answerWith(
    async () =>
      new Response(await work(await contextOf(request, may)), {
        headers: { ...AS_IT_IS, "Content-Type": "text/event-stream", "X-Accel-Buffering": "no" },
      }),
  );

/** A file of a name (RFC 6266): in letters that every system takes, and as it is where it has others. */
function asAttachment(name: string): string {
  const safe = name.replace(/[\\/:*?"<>|\p{Cc}]/gu, "-");
  const plain = safe.replace(/[^\x20-\x7e]/g, "_");
  const whole = encodeURIComponent(safe).replace(/['()*]/g, each => `%${each.charCodeAt(0).toString(16)}`);
  return `attachment; filename="${plain}"${plain === safe ? "" : `; filename*=UTF-8''${whole}`}`;
}

/** Here alone it is known who asks, and of the store they have what is theirs. */
async function contextOf(request: Request, may: May): Promise<Context> {
  const standing = await standingOf(request.headers);
  const asker = standing.at === "inside" ? standing.asker : nobody(visitOf(request.headers));
  refuseTooMany(asker);
  if (may !== "stranger") refuseOutside(standing);
  if (may !== "stranger" && may !== "signedIn") allow(asker, may);
  const store = () => storeOf(asker);
  const note = async (what: Doing, of?: string) => {
    if (asker.by) await (await store()).noteDoing({ what, ...(of !== undefined && { of }) });
  };
  return { request, store, asker, note };
}

const seconds = askingCounter();

/** By account, or by address where it is a stranger's. A house where nobody has a name is not counted. */
function refuseTooMany({ person, rights, visit: { address } }: Asker): void {
  const isStranger = !person && rights.size === 0;
  const key = person ? person.id : isStranger ? address : null;
  const wait = key === null ? 0 : seconds(key, isStranger ? "stranger" : "known");
  if (wait > 0) throw new Refusal(429, `That is asked more often than pages ask. Wait ${wait} seconds.`);
}

/** @throws Refusal where somebody has not the right to something */
export function allow({ rights, needsCodes }: Asker, right: Right): void {
  if (rights.has(right)) return;
  if (needsCodes)
    throw new Refusal(
      403,
      "The house wants one-time codes of everybody: set up yours first.",
      undefined,
      "codes",
    );
  throw new Refusal(403, WITHOUT[right]);
}

/** What is said to whoever has not the right. */
const WITHOUT: Record<Right, string> = {
  seeDeals: "Your roles show you no deals.",
  changeDeals: "Your roles let you look at deals, and change none.",
  signDeals: "Signing a deal is an officer’s.",
  givePapers: "Your roles let you give no papers.",
  seeDealersSide: "The dealer’s side is not shown to your roles.",
  changeDealersSide: "The dealer’s side is not shown to your roles.",
  seeEarned: "What deals earn is for managers and accounting.",
  exportDeals: "Your roles let you export no deals.",
  moveAllDeals: "All deals as a file are for managers and accounting.",
  changeStock: "The stock is changed by managers.",
  changeRates: "Rates are changed by managers.",
  release: "That is a manager’s to release.",
  eraseCustomers: "Customers are erased by managers.",
  seeDoings: "Who did what is for managers.",
  changeSettings: "Settings are changed by administrators.",
  keepBackups: "Backups are an administrator’s.",
  keepPeople: "People are an administrator’s.",
  handLinks: "Sign-in links are handed over by managers and administrators.",
};

async function answerWith(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (error) {
    if (isDatabaseAway(error)) {
      console.error(error.message);
      return Response.json({ error: AWAY } satisfies RefusalReply, { status: 503, headers: AS_IT_IS });
    }
    if (isDiskFull(error)) {
      console.error(error);
      return Response.json({ error: "The server's disk is full." } satisfies RefusalReply, {
        status: 507,
        headers: AS_IT_IS,
      });
    }
    const damage = damageSentence(error, dataFolder());
    if (damage) {
      console.error(failureOf(error).message);
      return Response.json({ error: damage } satisfies RefusalReply, { status: 500, headers: AS_IT_IS });
    }
    if (!(error instanceof Refusal)) throw error;
    const { message, current, signIn, release } = error;
    const reply: RefusalReply = {
      error: message,
      ...(current && { current }),
      ...(signIn && { signIn }),
      ...(release && { release }),
    };
    return Response.json(reply, { status: error.status, headers: AS_IT_IS });
  }
}

/** Reads a JSON body of at most so many bytes and checks it against a schema. */
export async function readBody<Value>(
  request: Request,
  check: (value: unknown) => Checked<Value>,
  most = LARGEST_BODY,
): Promise<Value> {
  const type = request.headers.get("content-type") ?? "";
  if (!/^application\/json\s*(;|$)/i.test(type)) {
    throw new Refusal(415, "The body must be JSON, sent as application/json.");
  }
  const text = await readText(request, most);
  const rest = takingTurns();
  const body = readJson(text, "The body");
  if (!body.ok) throw new Refusal(400, body.sentence);
  await rest();
  const checked = check(body.value);
  if (!checked.ok) throw new Refusal(422, checked.sentence);
  await rest();
  return checked.value;
}

/** Reads a body of at most so many bytes, as text. */
export async function readText(request: Request, most: number): Promise<string> {
  const bytes = await readBytes(request, most);
  try {
    return new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch {
    throw new Refusal(400, "The body is not text in UTF-8.");
  }
}

/** Reads a body of at most so many bytes. */
export async function readBytes(request: Request, most: number): Promise<Buffer> {
  const tooLarge = (bytes: number) =>
    new Refusal(413, `The body is ${sizeText(bytes)}; at most ${sizeText(most)} is accepted.`);
  const announced = Number(request.headers.get("content-length"));
  if (announced > most) throw tooLarge(announced);
  const chunks: Uint8Array[] = [];
  let size = 0;
  // Web streams can be iterated on Node, which the DOM's types do not say.
  for await (const chunk of (request.body ?? []) as AsyncIterable<Uint8Array>) {
    size += chunk.byteLength;
    if (size > most) throw tooLarge(size);
    chunks.push(chunk);
  }
  refuseCut(request, size);
  return Buffer.concat(chunks);
}

/** Nothing is taken that did not come whole: a body is as long as was announced. */
export function refuseCut(request: Request, size: number): void {
  const announced = request.headers.get("content-length");
  if (announced !== null && Number(announced) !== size)
    throw new Refusal(400, "The body was cut off on its way; send it again.");
}

const DISK_FULL = /ENOSPC|no space left|53100/i;

/** Whether an error, or one that it comes from, says that nothing more can be written. */
function isDiskFull(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  const { code } = error as NodeJS.ErrnoException;
  return DISK_FULL.test(`${code ?? ""} ${error.message}`) || isDiskFull(error.cause);
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

export const isUuid = (id: string | null): id is string => id !== null && UUID.test(id);

/** The version of a deal, or of a vehicle, that whoever asks has in view, from the address. */
export function readVersion(request: Request): number {
  const version = new URL(request.url).searchParams.get("version") ?? "";
  if (!/^[1-9]\d{0,9}$/.test(version))
    throw new Refusal(400, "The address must name the version in view, such as ?version=3.");
  return Number(version);
}

/** Whether whoever asks has the dealer's side open, from the address; they have to be shown it. */
export function readWithDealer({ request, asker }: Pick<Context, "request" | "asker">): boolean {
  const asked = new URL(request.url).searchParams.get("with");
  if (asked !== null && asked !== "dealer")
    throw new Refusal(
      400,
      "The address can ask for what the dealer alone sees by ?with=dealer, and for nothing else.",
    );
  if (asked === "dealer") allow(asker, "seeDealersSide");
  return asked === "dealer";
}

/** The id that the sender of a file has given it, from the address; null where it has given none. */
export function readArrivalOf(request: Request): string | null {
  const arrival = new URL(request.url).searchParams.get("arrival");
  if (arrival !== null && !UUID.test(arrival))
    throw new Refusal(400, "The address must name the file that arrives by a UUID, or not at all.");
  return arrival;
}

const readIdOf =
  (what: string) =>
  async (params: Promise<{ id: string }>): Promise<string> => {
    const { id } = await params;
    if (!isUuid(id)) throw new Refusal(404, `There is no ${what} at this address.`);
    return id;
  };

/** Checks the id of a deal's address. */
export const readId = readIdOf("deal");

/** Checks the id of a vehicle's address. */
export const readVehicleId = readIdOf("vehicle");

/** Checks the id of a person's address. */
export const readPersonId = readIdOf("person");

/** Checks the id of the address of a file that arrives. */
export const readArrivalId = readIdOf("file that arrives");
