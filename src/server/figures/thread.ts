// A thread that makes figures, so that the one that serves everyone never computes a deal.
import { parentPort } from "node:worker_threads";
import type { IncomeFrom } from "@/data/deal-income";
import type { FiguresFrom } from "@/data/register-figures";
import { yieldToOthers } from "@/data/yield-to-others";
import { figuresFrom } from "./figures-of";
import { incomeFrom } from "./income-of";

yieldToOthers();
parentPort?.on("message", (from: FiguresFrom | IncomeFrom) =>
  parentPort?.postMessage("known" in from ? incomeFrom(from) : figuresFrom(from)),
);
