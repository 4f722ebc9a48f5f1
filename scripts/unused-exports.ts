// Finds what is exported and named in no other file: a reader would look for who uses it.

/** What Next itself takes from a file. */
const TAKEN_BY_NEXT = /^src\/(app\/|proxy\.ts$|instrumentation\.ts$)/;
const EXPORT = /^export (?:async )?(?:type|const|function\*?|class) (\w+)/gm;

/**
 * Every export of the source tree that no other file names, as one sentence each.
 *
 * @param files path below the project to source text, for all that can name something of `src/`
 */
export function unusedExports(files: ReadonlyMap<string, string>): string[] {
  const namedIn = new Map<string, Set<string>>();
  for (const [path, source] of files) {
    for (const [word] of source.matchAll(/\w+/g)) {
      const paths = namedIn.get(word);
      if (paths) paths.add(path);
      else namedIn.set(word, new Set([path]));
    }
  }
  return [...files].flatMap(([path, source]) =>
    !path.startsWith("src/") || TAKEN_BY_NEXT.test(path)
      ? []
      : [...source.matchAll(EXPORT)]
          .filter(([, name = ""]) => namedIn.get(name)?.size === 1)
          .map(([, name]) => `${path} exports ${name}, which no other file names.`),
  );
}
