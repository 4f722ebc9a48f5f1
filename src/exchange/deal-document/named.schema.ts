import Type from "typebox";
import { exact, seen, unseen } from "../schema";
import { LONGEST_NAME } from "./longest-name";

/** The id of a customer or of a vehicle. */
export const RecordId = Type.String({
  pattern: "^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$",
  description: "the id of a record, a UUID in small letters",
});

/** A line of plain text with a sign in it that can be seen. */
export const SomeLine = Type.String({
  minLength: 1,
  maxLength: LONGEST_NAME,
  pattern: "^[^\\u0000-\\u001f\\u007f]*[^\\u0000-\\u0020\\u007f][^\\u0000-\\u001f\\u007f]*$",
  description: `one line of 1 to ${LONGEST_NAME} characters`,
});

/** A customer or a vehicle: itself, and what it is called; two of one name are two. */
export const NamedSchema = exact({ id: unseen(RecordId), name: seen(SomeLine) });

export type Named = Type.Static<typeof NamedSchema>;
