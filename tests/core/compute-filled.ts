/** Reads "1,234.56 − 3 × 4.00" and computes it from left to right with products first. */
export function compute(filled: string): number {
  const tokens = filled.replaceAll(",", "").split(" ");
  let sum = 0;
  let sign = 1;
  for (let index = 0; index < tokens.length; index++) {
    const token = tokens[index] ?? "";
    if (token === "+" || token === "−") {
      sign = token === "+" ? 1 : -1;
      continue;
    }
    let term = Number(token);
    while (tokens[index + 1] === "×") {
      term *= Number(tokens[index + 2]);
      index += 2;
    }
    sum += sign * term;
  }
  return Math.round(sum * 100) / 100;
}
