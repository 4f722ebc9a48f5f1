import { useEffect } from "react";
import { Toaster, toast } from "sonner";
import { showNotices } from "./notify";

const SAY = { message: toast, error: toast.error, success: toast.success };

/** Shows what is said at the edge of the screen. */
export function Toasts() {
  useEffect(() => showNotices(({ kind, text, options }) => void SAY[kind](text, options)), []);
  return <Toaster theme="system" position="bottom-center" toastOptions={{ duration: 10_000 }} />;
}
