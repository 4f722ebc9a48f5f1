// A thread that holds lenders' programs against deals, and reads files of them, so that the one that serves everyone does not.
import { parentPort } from "node:worker_threads";
import { yieldToOthers } from "@/data/yield-to-others";
import { answerOf } from "./answer";
import type { ProgramsQuestion } from "./questions";

yieldToOthers();
parentPort?.on("message", (question: ProgramsQuestion) => parentPort?.postMessage(answerOf(question)));
