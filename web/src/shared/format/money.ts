interface Money {
  amount: number;
  currency: string;
}

/** Decimals that are kept of a price: a part costs less than a cent. */
const MOST_DECIMALS = 5;

/** An amount with as many decimals as the currency has, and more where they are not zero: "$12.30", "$0.0158", "¥120". */
export function money({ amount, currency }: Money): string {
  return new Intl.NumberFormat('en-US', {
    style: 'currency',
    currency,
    maximumFractionDigits: MOST_DECIMALS,
  }).format(amount);
}
