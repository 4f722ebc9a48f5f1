import { useEffect, useState } from "react";
import { type Notice, showNotices } from "./notify";

/** Shows the newest of what is said, where the server is away before the code for more has come. */
export function PlainNotices() {
  const [notice, setNotice] = useState<Notice>();
  useEffect(() => showNotices(setNotice), []);
  return notice ? (
    <p role="alert" className="card-paper fixed inset-x-4 bottom-4 z-30 mx-auto w-fit px-4 py-2 shadow-md">
      {notice.text}
    </p>
  ) : null;
}
