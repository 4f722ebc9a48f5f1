export type { AskedBy, Person, SignedIn, Visit } from "./asked";
export { DOINGS, type Doing } from "./doings";
export { LONGEST_REASON, RELEASE_KINDS, type ReleaseKind } from "./releases";
export { RIGHT_NAMES, type Reach, type Right, ROLE_NAMES, ROLES, type Role, reachOf, rightsOf } from "./roles";
