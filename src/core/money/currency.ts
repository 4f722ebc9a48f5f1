import { failure, type Result, success } from "../result";

// ISO 4217 active codes by their number of decimals. Codes with 4 decimals, funds and metals are left out.
const WITHOUT_DECIMALS = "BIF CLP DJF GNF ISK JPY KMF KRW PYG RWF UGX UYI VND VUV XAF XOF XPF";
const THREE_DECIMALS = "BHD IQD JOD KWD LYD OMR TND";
const TWO_DECIMALS =
  "AED AFN ALL AMD AOA ARS AUD AWG AZN BAM BBD BDT BMD BND BOB BRL BSD BTN BWP BYN BZD CAD CDF CHF CNY COP " +
  "CRC CUP CVE CZK DKK DOP DZD EGP ERN ETB EUR FJD FKP GBP GEL GHS GIP GMD GTQ GYD HKD HNL HTG HUF IDR ILS " +
  "INR IRR JMD KES KGS KHR KPW KYD KZT LAK LBP LKR LRD LSL MAD MDL MGA MKD MMK MNT MOP MRU MUR MVR MWK MXN " +
  "MYR MZN NAD NGN NIO NOK NPR NZD PAB PEN PGK PHP PKR PLN QAR RON RSD RUB SAR SBD SCR SDG SEK SGD SHP SLE " +
  "SOS SRD SSP STN SVC SYP SZL THB TJS TMT TOP TRY TTD TWD TZS UAH USD UYU UZS VED VES WST XCD XCG YER ZAR " +
  "ZMW ZWG";

const DECIMALS = new Map<string, number>([
  ...WITHOUT_DECIMALS.split(" ").map(code => [code, 0] as const),
  ...TWO_DECIMALS.split(" ").map(code => [code, 2] as const),
  ...THREE_DECIMALS.split(" ").map(code => [code, 3] as const),
]);

/**
 * Reads a currency.
 *
 * @param code ISO 4217 alphabetic code, upper case
 * @returns how many decimals its amounts have, or a failure for a code that is not known
 * @example readCurrency("JPY") // { ok: true, value: 0 }
 */
export function readCurrency(code: string): Result<number> {
  const decimals = DECIMALS.get(code);
  return decimals === undefined
    ? failure("currency", `${code} is not a known currency; use a code of ISO 4217 such as USD.`)
    : success(decimals);
}

/**
 * How many decimals a currency's amounts are written with.
 *
 * @param code ISO 4217 alphabetic code, upper case
 * @returns 0, 2 or 3, or `undefined` for a code that is not known
 * @example currencyDecimals("JPY") // 0
 */
export function currencyDecimals(code: string): number | undefined {
  return DECIMALS.get(code);
}
