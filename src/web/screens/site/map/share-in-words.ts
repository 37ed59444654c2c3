/** A share of the site's weight as it is read: `0.42 %`, `7.7 %`. */
export const shareInWords = (share: number): string => {
  const percent = share * 100;
  return `${percent >= 1 ? percent.toFixed(1) : percent.toFixed(2)} %`;
};
