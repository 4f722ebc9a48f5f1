// A thread that makes the quotes of many deals, after whatever somebody waits for.
import { parentPort } from "node:worker_threads";
import { yieldToOthers } from "@/data/yield-to-others";
import { answerWithQuotes } from "./quotes";

yieldToOthers();
answerWithQuotes(parentPort);
