/** What a figure that is being found is called among the members of a file, where that is another name. */
const MEMBERS: Record<string, readonly string[]> = {
  downPercent: ["down"],
  allowance: ["tradeIn", "tradeIns"],
  residualPercent: ["residual"],
  lump: ["extra"],
};

/** What of a structure or a plan holds a figure that is being found. */
export const membersOfFound = (find: string): readonly string[] => MEMBERS[find] ?? [find];
