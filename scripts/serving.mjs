// Serves the app until it is told to stop, by a signal or because the program that started it is gone.
import { serve } from "./serve.mjs";

process.once("disconnect", () => process.kill(process.pid, "SIGTERM"));
await serve();
