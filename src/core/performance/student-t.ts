/** The upper quantile of the standard normal distribution for a two-sided chance of 5 %. */
const NORMAL = 1.959963984540054;

/**
 * How many standard errors to either side hold 95 % of Student's t distribution with so many degrees of freedom (1 and more, also
 * between whole ones): 12.706 for 1, 2.228 for 10, 1.96 for infinitely many.
 *
 * Source: G. W. Hill, Algorithm 396: Student's t-quantiles, Communications of the ACM 13 (1970), with the closed forms for one and two.
 */
export function tQuantile95(freedom: number): number {
  const chance = 0.05;
  if (freedom <= 1) return 12.706204736432095;
  if (freedom === 2) return Math.sqrt(2 / (chance * (2 - chance)) - 2);
  const a = 1 / (freedom - 0.5);
  const b = 48 / a ** 2;
  let c = ((20700 * a) / b - 98) * a - 16;
  c = c * a + 96.36;
  const d = ((94.5 / (b + c) - 3) / b + 1) * Math.sqrt((a * Math.PI) / 2) * freedom;
  let y = (d * chance) ** (2 / freedom);
  if (y > 0.05 + a) {
    let x = -NORMAL;
    y = x ** 2;
    if (freedom < 5) c += 0.3 * (freedom - 4.5) * (x + 0.6);
    c = (((0.05 * d * x - 5) * x - 7) * x - 2) * x + b + c;
    y = (((((0.4 * y + 6.3) * y + 36) * y + 94.5) / c - y - 3) / b + 1) * x;
    y = a * y ** 2;
    y = Math.expm1(y);
    x = 0;
  } else {
    y =
      ((1 / (((freedom + 6) / (freedom * y) - 0.089 * d - 0.822) * (freedom + 2) * 3) + 0.5 / (freedom + 4)) *
        y -
        1) *
        ((freedom + 1) / (freedom + 2)) +
      1 / y;
  }
  return Math.sqrt(freedom * y);
}
