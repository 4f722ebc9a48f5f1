// What a plain deal does not need: the search for figures, and the fields of lines and of rare parts of a plan.
export { answer } from "@/core/find";
export { giveFound } from "../fields/give-found";
export { rareField } from "../fields/rare-fields";
