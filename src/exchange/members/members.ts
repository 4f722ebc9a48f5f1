/** An object with a member, or without it where its value is undefined. */
export function withOptional<Part extends object, Key extends keyof Part>(
  part: Part,
  key: Key,
  value: Part[Key] | undefined,
): Part {
  const { [key]: _, ...rest } = part;
  return (value === undefined ? rest : { ...rest, [key]: value }) as Part;
}

/** An object without the members that are undefined. */
export function definedOnly(line: object): object {
  return Object.fromEntries(Object.entries(line).filter(([, value]) => value !== undefined));
}
