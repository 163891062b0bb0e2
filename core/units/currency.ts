import { ROUNDED_OFTEN } from '../tolerances.ts';

/** Asking costs, and the answer never changes. */
// eslint-disable-next-line no-restricted-syntax -- it hangs on nothing but the name
const digits = new Map<string, number>();

/** Digits after the point that a currency is paid in: 2 for most, 0 for the yen, 3 for a dinar (ISO 4217); 2 for a code that nobody knows. */
export function coinDigits(currency: string): number {
  const known = digits.get(currency);
  if (known !== undefined) return known;
  const found = new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2;
  digits.set(currency, found);
  return found;
}

/** An amount in the smallest coins of its currency: cents, yen. Half a coin goes up. */
export const toCoins = (amount: number, currency: string): number => Math.round(amount * 10 ** coinDigits(currency) + ROUNDED_OFTEN / 10);

/** Coins as an amount. */
export const fromCoins = (coins: number, currency: string): number => coins / 10 ** coinDigits(currency);

/** An amount as it can be paid. */
export const roundMoney = (amount: number, currency: string): number => fromCoins(toCoins(amount, currency), currency);

/** An amount with the digits of its currency: "1234.50", "1235". */
export const formatMoney = (amount: number, currency: string): string => roundMoney(amount, currency).toFixed(coinDigits(currency));

/** Coins as money: "1 234.50". */
export const formatCoins = (coins: number, currency: string): string =>
  formatMoney(fromCoins(coins, currency), currency).replace(/\B(?=(\d{3})+(?!\d))/g, ' ');
