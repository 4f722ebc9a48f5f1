import Type from "typebox";

export const OptionId = Type.String({
  pattern: "^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$",
  description: "the id of an option, a UUID in small letters",
});
