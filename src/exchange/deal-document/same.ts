/** Whether two values of plain data hold the same; the order of an object's members does not count. */
export function isSame(one: unknown, other: unknown): boolean {
  if (one === other) return true;
  if (typeof one !== "object" || typeof other !== "object" || one === null || other === null) return false;
  if (Array.isArray(one) !== Array.isArray(other)) return false;
  const [these, those] = [one as Record<string, unknown>, other as Record<string, unknown>];
  // A member that is undefined is left out when it is sent or kept.
  const names = (record: Record<string, unknown>) =>
    Object.keys(record).filter(name => record[name] !== undefined);
  const members = names(these);
  return members.length === names(those).length && members.every(name => isSame(these[name], those[name]));
}
