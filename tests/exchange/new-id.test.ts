import { newId } from "@/exchange/deal-document";

test("an id is a UUID of version 4, each another, where the browser makes none itself, too", () => {
  const made = crypto.randomUUID;
  for (const randomUUID of [made, undefined]) {
    Object.defineProperty(crypto, "randomUUID", { value: randomUUID, configurable: true });
    const ids = Array.from({ length: 500 }, newId);
    expect(new Set(ids).size).toBe(ids.length);
    for (const id of ids)
      expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
  }
  Object.defineProperty(crypto, "randomUUID", { value: made, configurable: true });
});
