import Type from "typebox";
import {
  LONGEST_BRANCH,
  LONGEST_PERSON_NAME,
  LONGEST_REASON,
  MOST_PEOPLE_OF_A_DEAL,
  RELEASE_KINDS,
  ROLE_NAMES,
} from "@/exchange/people";
import { exact, OneOf, Percent } from "@/exchange/schema";

const line = (most: number, least = 0) =>
  Type.String({
    minLength: least,
    maxLength: most,
    pattern: "^[^\\u0000-\\u001f\\u007f]*$",
    description: `one line of ${least > 0 ? `${least} to` : "at most"} ${most} characters`,
  });

/** Longer ones are no password, and would only be work. */
const Password = Type.String({ maxLength: 200, description: "a password of at most 200 characters" });
const Code = Type.String({ maxLength: 40, description: "a code of at most 40 characters" });
const PersonId = Type.String({
  pattern: "^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$",
  description: "the id of a person",
});

const SignInRequestSchema = exact({ name: line(LONGEST_PERSON_NAME), password: Password });
const CodeRequestSchema = exact({ code: Code });
const PasswordRequestSchema = exact({ password: Password });
const NewPasswordRequestSchema = exact({ old: Password, password: Password });
const LinkRequestSchema = exact({
  link: Type.String({ maxLength: 100, description: "what stands in a link" }),
  password: Password,
});

/** Somebody who works here, as an administrator settles it. */
const PersonRequestSchema = exact({
  name: line(LONGEST_PERSON_NAME, 1),
  username: Type.String({
    pattern: "^[A-Za-z0-9._-]{2,40}$",
    description: "2 to 40 letters, digits, dots and hyphens",
  }),
  roles: Type.Array(OneOf(...ROLE_NAMES), { maxItems: ROLE_NAMES.length, description: "a list of roles" }),
  branch: Type.Optional(line(LONGEST_BRANCH)),
  hasLeft: Type.Optional(Type.Boolean({ description: "true or false" })),
  /** Of the first person alone: others set theirs by a link. */
  password: Type.Optional(Password),
});

const Branch = Type.Union([line(LONGEST_BRANCH), Type.Null()], { description: "a branch, or null" });

const DealPeopleRequestSchema = exact({
  mark: Type.String({ maxLength: 40, description: "the mark of the state in view" }),
  owner: Type.Union([PersonId, Type.Null()], { description: "the id of a person, or null" }),
  branch: Branch,
  people: Type.Array(
    exact({
      who: PersonId,
      role: line(LONGEST_BRANCH, 1),
      percent: Percent('percent from 0 to 100, such as "25"', 100),
    }),
    {
      maxItems: MOST_PEOPLE_OF_A_DEAL,
      description: `a list of at most ${MOST_PEOPLE_OF_A_DEAL} people`,
    },
  ),
});

const ReleaseRequestSchema = exact({
  version: Type.Integer({ minimum: 1, maximum: 2_000_000_000, description: "the number of a saved version" }),
  kind: OneOf(...RELEASE_KINDS),
  detail: line(1000),
  reason: Type.String({
    pattern: "\\S",
    maxLength: LONGEST_REASON,
    description: `a reason of at most ${LONGEST_REASON} characters`,
  }),
});

/** What each body is checked by; `npm run schema` compiles a check of this name. */
export const PEOPLE_REQUESTS = {
  signInRequest: SignInRequestSchema,
  codeRequest: CodeRequestSchema,
  passwordRequest: PasswordRequestSchema,
  newPasswordRequest: NewPasswordRequestSchema,
  linkRequest: LinkRequestSchema,
  personRequest: PersonRequestSchema,
  dealPeopleRequest: DealPeopleRequestSchema,
  releaseRequest: ReleaseRequestSchema,
};

export type SignInRequest = Type.Static<typeof SignInRequestSchema>;
export type CodeRequest = Type.Static<typeof CodeRequestSchema>;
export type PasswordRequest = Type.Static<typeof PasswordRequestSchema>;
export type NewPasswordRequest = Type.Static<typeof NewPasswordRequestSchema>;
export type LinkRequest = Type.Static<typeof LinkRequestSchema>;
export type PersonRequest = Type.Static<typeof PersonRequestSchema>;
export type DealPeopleRequest = Type.Static<typeof DealPeopleRequestSchema>;
export type ReleaseRequest = Type.Static<typeof ReleaseRequestSchema>;
