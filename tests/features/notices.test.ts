import { type Notice, notify, onFirstNotice, showNotices } from "@/features/notices/notify";

test("what is said before anybody shows it waits, and wakes who loads it", () => {
  const shown: Notice[] = [];
  let wakened = 0;
  onFirstNotice(() => {
    wakened += 1;
  });
  expect(wakened).toBe(0);
  notify("The deal was deleted.", { id: "one" });
  notify.error("The server is away.");
  expect(wakened).toBeGreaterThan(0);
  const stop = showNotices(notice => shown.push(notice));
  notify.success("1 deal was imported.");
  expect(shown.map(({ kind, text }) => [kind, text])).toEqual([
    ["message", "The deal was deleted."],
    ["error", "The server is away."],
    ["success", "1 deal was imported."],
  ]);
  stop();
  notify("Later.");
  expect(shown).toHaveLength(3);
  // Who comes to say it only now is woken at once.
  let isWoken = false;
  onFirstNotice(() => {
    isWoken = true;
  });
  expect(isWoken).toBe(true);
});
