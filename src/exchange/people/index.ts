export type { AskedBy, Person, SignedIn, Visit } from "./asked";
export {
  type DealPeople,
  type DealShare,
  LONGEST_BRANCH,
  LONGEST_PERSON_NAME,
  MOST_PEOPLE_OF_A_DEAL,
  type SeenBy,
} from "./deal-people";
export { DOINGS, DOINGS_OF_DEALS, type Doing } from "./doings";
export { LONGEST_REASON, RELEASE_KINDS, type ReleaseKind } from "./releases";
export {
  type Reach,
  RIGHT_NAMES,
  type Right,
  ROLE_NAMES,
  ROLES,
  type Role,
  reachOf,
  rightsOf,
} from "./roles";
