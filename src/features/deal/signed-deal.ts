// What only a signed deal needs, in one piece that is loaded with it.

export { withSigned } from "./desk/with-signed";
export { SignedNotice } from "./SignedNotice";
