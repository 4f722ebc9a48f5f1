import type { Locale } from "@/exchange/notation";

/**
 * What officers type where, and what is understood: written as in the United States, and set in each place's own signs
 * for decimals and groups, but for a text that begins with "=", which is typed as it stands.
 *
 * field · what stood there before · typed · understood. A refused text is "refused"; "or 1250.00" may be meant instead;
 * the 24th of December is what follows from the contract.
 */
export const TYPED_EVERYWHERE = `
price · · 41850 · 41850.00
price · · 41,850 · 41850.00
price · · 41,850.00 · 41850.00
price · · 41850.5 · 41850.50
price · · 41850.55 · 41850.55
price · · 0 · 0.00
price · · .5 · 0.50
price · · 0.5 · 0.50
price · · 12.5k · 12500.00
price · · 12.5 k · 12500.00
price · · 12K · 12000.00
price · · 12k · 12000.00
price · · 0.5k · 500.00
price · · 1.2m · 1200000.00
price · · 1.25m · 1250000.00
price · · 2 mio · 2000000.00
price · · 30 tsd · 30000.00
price · · 1.5 lakh · 150000.00
price · · 4 lac · 400000.00
price · · 1.2 crore · 12000000.00
price · · 1 cr · 10000000.00
price · · $41,850.00 · 41850.00
price · · $ 41,850 · 41850.00
price · · USD 41,850.00 · 41850.00
price · · 41,850.00 USD · 41850.00
price · · 41,850.00 $ · 41850.00
price · · $12.5k · 12500.00
price · · =41 850 · 41850.00
price · · =1 250 000 · 1250000.00
price · · 1,250,000 · 1250000.00
price · · 1,250,000.75 · 1250000.75
price · · 41,850 - 1,200 · 40650.00
price · · 41,850 − 1,200 · 40650.00
price · · 41,850 – 1,200 · 40650.00
price · · 41850-1200 · 40650.00
price · · 41850+1200 · 43050.00
price · · 41,850 + 395 + 120.50 · 42365.50
price · · 41,850.00 − 1,200.00 − 50.00 · 40600.00
price · · 40k + 500 · 40500.00
price · · 40k − 1.5k · 38500.00
price · · 0.1 + 0.2 · 0.30
price · · 19.99 + 0.01 · 20.00
price · · 100 − 100 · 0.00
price · · 100 − 200 · refused
price · · 41,850 − · refused
price · · 41,850 − x · refused
price · · abc · refused
price · · 10 % · refused
price · · 1.2.3 · refused
price · · 12,34 x · refused
price · · k · refused
price · · 41850.555 · refused
price · · 99999999999 · refused
price · · -5 · refused
price · · +5 · refused
price · 41850.00 · +500 · 42350.00
price · 41850.00 · + 500 · 42350.00
price · 41850.00 · +1,500 · 43350.00
price · 41850.00 · +1.5k · 43350.00
price · 41850.00 · -500 · 41350.00
price · 41850.00 · −500 · 41350.00
price · 41850.00 · – 500.50 · 41349.50
price · 41850.00 · -2% · 41013.00
price · 41850.00 · -2 % · 41013.00
price · 41850.00 · −2.5% · 40803.75
price · 41850.00 · +10% · 46035.00
price · 41850.00 · +0.5% · 42059.25
price · 41850.00 · +500 − 200 · 42150.00
price · 41850.00 · -41,850 · 0.00
price · 41850.00 · -50,000 · refused
price · 41850.00 · -200% · refused
price · 41850.00 · +x · refused
price · 41850.00 · + · refused
price · 41850.00 · 40,000 · 40000.00
price · 41850.00 · 39k · 39000.00
price · 0.10 · +0.20 · 0.30
price · 999.99 · +0.01 · 1000.00
down · · 6000 · 6000.00
down · · 6,000.00 · 6000.00
down · · 6k · 6000.00
down · · 10 % · 10 %
down · · 10% · 10 %
down · · 12.5 % · 12.5 %
down · · 0 % · 0 %
down · · 101 % · refused
down · 6000.00 · +500 · 6500.00
down · 6000.00 · -10% · 5400.00
down · 6000.00 · +10 % · 6600.00
down · 6000.00 · 10 % · 10 %
down · 6000.00 · 3,000 + 3,500 · 6500.00
down · 15 % · 20 · 20 %
down · 15 % · 20 % · 20 %
down · 15 % · +5 · 20 %
down · 15 % · +2.5% · 17.5 %
down · 15 % · -5 · 10 % or 5
down · 15 % · -20 · refused
yearlyRate · · 6.49 · 6.49
yearlyRate · · 6.49% · 6.49
yearlyRate · · 6.49 % · 6.49
yearlyRate · · .9 · 0.9
yearlyRate · · 0 · 0
yearlyRate · · 7 · 7
yearlyRate · · 7. · 7
yearlyRate · · 650 · 650
yearlyRate · · 6.123456 · 6.123456
yearlyRate · · 1001 · refused
yearlyRate · · six · refused
yearlyRate · · -2% · refused
yearlyRate · · +0.5 · refused
yearlyRate · 6.49 · +0.5 · 6.99
yearlyRate · 6.49 · +0.5% · 6.99
yearlyRate · 6.49 · + 0.5 % · 6.99
yearlyRate · 6.49 · -2% · 4.49 or 2
yearlyRate · 6.49 · −2 · 4.49 or 2
yearlyRate · 6.49 · -2 pts · 4.49
yearlyRate · 6.49 · +1 point · 7.49
yearlyRate · 6.49 · -0.25 · 6.24
yearlyRate · 6.49 · +.01 · 6.5
yearlyRate · 6.49 · -6.49 · 0 or 6.49
yearlyRate · 6.49 · -7 · refused
yearlyRate · 6.49 · 5.9 · 5.9
yearlyRate · 0.1 · +0.2 · 0.3
payments · · 60 · 60
payments · · 5y · 60
payments · · 5 y · 60
payments · · 5 years · 60
payments · · 5.5 years · 66
payments · · 5 yrs · 60
payments · · 1 year · 12
payments · · 5 y 10 m · 70
payments · · 5y10m · 70
payments · · 18 m · 18
payments · · 18 months · 18
payments · · 1 · 1
payments · · 0 · refused
payments · · 1201 · refused
payments · · 5.5 · refused
payments · · sixty · refused
payments · · 5 weeks · refused
payments · 60 · +12 · 72
payments · 60 · + 12 · 72
payments · 60 · -6 · 54
payments · 60 · −6 · 54
payments · 60 · +1y · 72
payments · 60 · +1 year · 72
payments · 60 · -6m · 54
payments · 60 · -6 months · 54
payments · 60 · -60 · refused
payments · 60 · 72 · 72
payments · · 5 years · 60
payments · · 5yrs · 60
payments · · 5.5y · 66
payments · · 5 y 6 m · 66
payments · · 72 m · 72
payments · · 0y · refused
payments · · x · refused
payments · 60 · +12 · 72
payments · 60 · +1yr · 72
payments · 60 · -12 · 48
payments · 60 · +6mo · 66
moneyFactor · · 0.00225 · 0.00225
moneyFactor · · .00225 · 0.00225
moneyFactor · · 225 · 0.00225
moneyFactor · · 2.25 · 0.00225
moneyFactor · · 95 · 0.00095
moneyFactor · · .95 · 0.00095
moneyFactor · · 0.0001 · 0.0001
moneyFactor · · 0 · 0
moneyFactor · · 310 · 0.0031
moneyFactor · · 1.375 · 0.001375
moneyFactor · · 5.4 · 0.0054 or 0.00225
moneyFactor · · 6 · 0.006 or 0.0025
moneyFactor · · 12 · 0.012 or 0.005
moneyFactor · · 5.4 % · 0.00225
moneyFactor · · 5.4% · 0.00225
moneyFactor · · 6% · 0.0025
moneyFactor · · x · refused
moneyFactor · · 9999999 · refused
moneyFactor · 0.00225 · +0.0001 · 0.00235
moneyFactor · 0.00225 · -0.0002 · 0.00205
firstPayment · · 24 Dec · 2026-12-24
firstPayment · · 24 December · 2026-12-24
firstPayment · · Dec 24 · 2026-12-24
firstPayment · · =December 24, 2026 · 2026-12-24
firstPayment · · 24 Dec 2026 · 2026-12-24
firstPayment · · 24 dec 27 · 2027-12-24
firstPayment · · 1 jan · 2027-01-01
firstPayment · · =2026-12-24 · 2026-12-24
firstPayment · · tomorrow · 2026-11-25
firstPayment · · today · 2026-11-24
firstPayment · · +3 weeks · 2026-12-15
firstPayment · · +3w · 2026-12-15
firstPayment · · +1 month · 2026-12-24
firstPayment · · +45 days · 2027-01-08
firstPayment · · +1y · 2027-11-24
firstPayment · · =24/12/2026 · 2026-12-24
firstPayment · · =12/24/2026 · 2026-12-24
firstPayment · · =2026/12/24 · 2026-12-24
firstPayment · · =24.12.2026 · 2026-12-24
firstPayment · · 32 Dec · refused
firstPayment · · =13/13/2026 · refused
firstPayment · · someday · refused
`;

/** What is read by the place's own order and signs. */
const POINT_PLACE = `
price · · =1.250 · 1.25 or 1250.00
price · · =1,250 · 1250.00
price · · =12.500 · 12.50 or 12500.00
price · · =1.25 · 1.25
`;
const MONTH_FIRST = `
firstPayment · · =3/4 · 2027-03-04
firstPayment · · =3/4/27 · 2027-03-04
`;
const DAY_FIRST = `
firstPayment · · =3/4 · 2027-04-03
firstPayment · · =3/4/27 · 2027-04-03
`;

export const TYPED_AT: Record<Locale, string> = {
  "en-US": POINT_PLACE + MONTH_FIRST,
  "en-CA": POINT_PLACE + MONTH_FIRST,
  "fr-CA": `
price · · =1,250 · 1.25 or 1250.00
price · · =1.250 · 1.25 or 1250.00
price · · =1,25 · 1.25
price · · =1 250,50 · 1250.50
${DAY_FIRST}`,
  "en-GB": POINT_PLACE + DAY_FIRST,
  "de-DE": `
price · · =1.250 · 1250.00
price · · =1,250 · 1.25 or 1250.00
price · · =1.250,00 · 1250.00
price · · =1.25 · 1.25
${DAY_FIRST}`,
  "en-IN": `
price · · =12,34,567 · 1234567.00
price · · =1,25,000.50 · 125000.50
${POINT_PLACE}${DAY_FIRST}`,
  "ja-JP": POINT_PLACE + MONTH_FIRST,
};

/** The signs of each place, written out here a second time. */
export const SIGNS: Record<Locale, { decimal: string; group: string }> = {
  "en-US": { decimal: ".", group: "," },
  "en-CA": { decimal: ".", group: "," },
  "fr-CA": { decimal: ",", group: " " },
  "en-GB": { decimal: ".", group: "," },
  "de-DE": { decimal: ",", group: "." },
  "en-IN": { decimal: ".", group: "," },
  "ja-JP": { decimal: ".", group: "," },
};
