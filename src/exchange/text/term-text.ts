/** The term of some payments in words: 130 two-weekly ones are "5 years", 70 monthly ones "5 years 10 months". */
export function termText(payments: number, perYear: number): string {
  const months = (payments * 12) / perYear;
  return Number.isInteger(months) ? yearsText(months) : `${(payments / perYear).toFixed(2)} years`;
}

/** A term in words: 72 is "6 years", 70 is "5 years 10 months". */
export function yearsText(inMonths: number): string {
  const years = Math.floor(inMonths / 12);
  const months = inMonths % 12;
  const parts = [
    years > 0 ? `${years} ${years === 1 ? "year" : "years"}` : "",
    months > 0 ? `${months} ${months === 1 ? "month" : "months"}` : "",
  ];
  return parts.filter(Boolean).join(" ");
}
