import { createHash } from "node:crypto";
import MailComposer from "nodemailer/lib/mail-composer";
import type { Letter } from "@/exchange/papers/letter";

/** What a letter encloses, as it is. */
type Enclosure = { fileName: string; type: string; bytes: Buffer };

/**
 * Puts a letter together with what it encloses (RFC 5322), as a draft that an officer's own mail program opens and sends. One
 * letter always gives the same bytes.
 *
 * @param date its day
 */
export function writeLetter(
  { subject, text, from }: Letter,
  enclosed: readonly Enclosure[],
  date: Date,
): Promise<Buffer> {
  const digest = createHash("sha256").update(JSON.stringify([subject, text, from, date]));
  for (const { bytes } of enclosed) digest.update(bytes);
  const id = digest.digest("hex").slice(0, 32);
  return new MailComposer({
    ...(from && { from }),
    subject,
    text,
    date,
    messageId: `<${id}@kellux>`,
    baseBoundary: id,
    // Mail programs open such a message as one that is still to be sent.
    headers: { "X-Unsent": "1" },
    attachments: enclosed.map(({ fileName, type, bytes }) => ({
      filename: fileName,
      contentType: type,
      content: bytes,
    })),
  } as ConstructorParameters<typeof MailComposer>[0])
    .compile()
    .build();
}
