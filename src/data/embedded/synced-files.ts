import { fsyncSync } from "node:fs";
import { NodeFS } from "@electric-sql/pglite/nodefs";

type Setup = Parameters<NodeFS["init"]>[1];
type Module = Parameters<NonNullable<Setup["preRun"]>[number]>[0];

/** What this needs of the module's own way to files, which has no type. */
type NodeFiles = {
  tryFSOperation: <Value>(work: () => Value) => Value;
  stream_ops: { fsync?: (stream: { nfd: number }) => number };
};

/**
 * The database's way to its files, with what it lacks: where the database asks that a file or a folder be on the disk,
 * it waits until it is, and hears where it cannot be.
 */
export class SyncedFiles extends NodeFS {
  override async init(...[database, setup]: Parameters<NodeFS["init"]>) {
    const { emscriptenOpts } = await super.init(database, setup);
    const addSync = (module: Module) => {
      const files = (module as unknown as { NODEFS: NodeFiles }).NODEFS;
      files.stream_ops.fsync = ({ nfd }) =>
        files.tryFSOperation(() => {
          fsyncSync(nfd);
          return 0;
        });
    };
    return { emscriptenOpts: { ...emscriptenOpts, preRun: [addSync, ...(emscriptenOpts.preRun ?? [])] } };
  }
}
