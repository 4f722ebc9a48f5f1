// A thread that makes the quotes of a deal that is signed, so that the one that serves everyone computes none.
import { parentPort } from "node:worker_threads";
import { answerWithQuotes } from "./quotes";

answerWithQuotes(parentPort);
