// A PostgreSQL server of the tests' own: Debian's, installed through apt where it is missing and can be, in a folder that
// goes with it.
import { spawn, spawnSync } from "node:child_process";
import { chmodSync, chownSync, existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { setTimeout as wait } from "node:timers/promises";
import { installByAptWithin } from "./apt.mjs";

const DEBIAN = "/usr/lib/postgresql";

/** The folder of its programs; undefined where it is not there. */
export function postgresPrograms() {
  const versions = existsSync(DEBIAN)
    ? readdirSync(DEBIAN).sort((one, other) => Number(other) - Number(one))
    : [];
  const folders = [
    ...versions.map(version => join(DEBIAN, version, "bin")),
    ...(process.env.PATH ?? "").split(":"),
  ];
  return folders.find(folder => existsSync(join(folder, "initdb")) && existsSync(join(folder, "postgres")));
}

/** Whoever runs it may not be the system's own master: then it is run as another user. */
function userOfServer() {
  if (process.getuid?.() !== 0) return {};
  const id = name => Number(spawnSync("id", [name, "postgres"], { encoding: "utf8" }).stdout);
  const [uid, gid] = [id("-u"), id("-g")];
  return uid ? { uid, gid } : { uid: 65534, gid: 65534 };
}

async function freePort() {
  const server = createServer();
  await new Promise(resolve => server.listen(0, "127.0.0.1", resolve));
  const { port } = server.address();
  await new Promise(resolve => server.close(resolve));
  return port;
}

const ENOUGH = 300;

/**
 * Starts a server.
 *
 * @param settings of it, such as "fsync=on"
 * @returns its address without a database, and how it is stopped, started again and cleared away
 */
export async function startPostgres(settings = ["fsync=off"]) {
  const programs = postgresPrograms();
  if (!programs) throw new Error("PostgreSQL is not there.");
  const user = userOfServer();
  const place = mkdtempSync(join(tmpdir(), "kellux-postgres-"));
  // Whoever it is run as has to come to it.
  chmodSync(place, 0o711);
  const folder = join(place, "data");
  mkdirSync(folder, { mode: 0o700 });
  if (user.uid) chownSync(folder, user.uid, user.gid);
  const made = spawnSync(
    join(programs, "initdb"),
    ["-D", folder, "-U", "kellux", "--auth=trust", "--encoding=UTF8", "--locale=C.UTF-8", "--no-sync"],
    { ...user, cwd: folder, encoding: "utf8" },
  );
  if (made.status !== 0) throw new Error(`initdb: ${made.stderr}`);
  const port = await freePort();
  let server;
  const start = async () => {
    const all = [
      "listen_addresses=127.0.0.1",
      `unix_socket_directories=${folder}`,
      "max_connections=200",
      ...settings,
    ];
    server = spawn(
      join(programs, "postgres"),
      ["-D", folder, "-p", String(port), ...all.flatMap(each => ["-c", each])],
      {
        ...user,
        cwd: folder,
        stdio: "ignore",
      },
    );
    for (let attempt = 0; attempt < ENOUGH; attempt++) {
      const asked = spawnSync(join(programs, "pg_isready"), ["-h", "127.0.0.1", "-p", String(port)]);
      if (asked.status === 0) return;
      await wait(100);
    }
    throw new Error("PostgreSQL does not answer.");
  };
  /** @param signal "SIGINT" ends what is under way, "SIGQUIT" at once */
  const stop = async (signal = "SIGINT") => {
    if (server.exitCode !== null || server.signalCode !== null) return;
    const ended = new Promise(resolve => server.once("exit", resolve));
    server.kill(signal);
    await ended;
  };
  await start();
  return {
    url: `postgres://kellux@127.0.0.1:${port}`,
    start,
    stop,
    clear: async () => {
      await stop("SIGQUIT");
      rmSync(place, { recursive: true, force: true });
    },
    /** Ends it where nothing can be waited for any more. */
    drop: () => {
      server.kill("SIGQUIT");
      rmSync(place, { recursive: true, force: true });
    },
  };
}

const APT_MS = 60_000;

/** Sees that it is there; says so loudly where it is not and cannot be, and fails where it has to be. */
export function providePostgres() {
  if (postgresPrograms() ?? (installByAptWithin(APT_MS, "postgresql") && postgresPrograms())) return true;
  console.warn(
    "\nDATA IS NOT TESTED ON A SERVER: PostgreSQL (postgresql) is not there and cannot be installed.\n",
  );
  if (process.env.KELLUX_NEEDS_POSTGRES) process.exit(1);
  return false;
}
