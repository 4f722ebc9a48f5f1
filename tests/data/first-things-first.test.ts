import { firstThingsFirst } from "@/data/embedded/first-things-first";

const pause = (milliseconds: number) => new Promise(resolve => setTimeout(resolve, milliseconds));

/** Pieces of work that say when they are done. */
function workshop(longestMs = 1000) {
  const { awaited, patient } = firstThingsFirst(longestMs);
  const done: string[] = [];
  const piece = (name: string, milliseconds: number) => async () => {
    await pause(milliseconds);
    done.push(name);
    return name;
  };
  return {
    done,
    awaited: (name: string, milliseconds: number) => awaited(piece(name, milliseconds)),
    patient: (name: string, milliseconds: number) => patient(piece(name, milliseconds)),
  };
}

test("what a person waits for goes before what nobody waits for, whichever was asked first", async () => {
  const { done, awaited, patient } = workshop();
  const all = [patient("part 1", 20), patient("part 2", 1), awaited("save", 40), awaited("read", 1)];
  expect(await Promise.all(all)).toEqual(["part 1", "part 2", "save", "read"]);
  expect(done).toEqual(["read", "save", "part 1", "part 2"]);
});

test("parts go one after another, and who asks between two of them does not wait for the second", async () => {
  const { done, awaited, patient } = workshop();
  const parts = [patient("part 1", 30), patient("part 2", 30)];
  await pause(15);
  await awaited("save", 30);
  await Promise.all(parts);
  expect(done).toEqual(["part 1", "save", "part 2"]);
});

test("a part is put off for no longer than that, and one that fails does not keep the next", async () => {
  const { done, awaited, patient } = workshop(20);
  const { patient: failing } = firstThingsFirst(20);
  const long = awaited("long", 200);
  await patient("part", 1);
  expect(done).toEqual(["part"]);
  await long;
  await expect(failing(() => Promise.reject(new Error("no room")))).rejects.toThrow("no room");
  expect(await failing(async () => "next")).toBe("next");
});
