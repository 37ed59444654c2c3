/** Abbreviations that keep their capitals wherever they stand; none of them is also a word. */
const ACRONYMS = new Map(
  (
    'DIY GPS FAQ FAQs USB LED LEDs PDF PDFs CSS HTML XML JSON SEO API APIs URL URLs UK EU USA TV TVs DVD SUV SUVs VAT CRM CMS KPI KPIs ' +
    'ROI VPN QR RSS SQL HTTP HTTPS DNS SSL BMI BBQ ATM NFC SMS HVAC PVC UV AI HR B2B B2C PPE MRI DNA ADHD GDPR SaaS WiFi iOS macOS'
  )
    .split(' ')
    .map((word) => [word.toLowerCase(), word]),
);

/** A phrase as a heading or title begins: its first letter a capital, abbreviations in theirs ("diy gps mount" is "DIY GPS mount"). */
export function asHeading(text: string): string {
  const told = text.replace(/[\p{L}\p{N}]+/gu, (word) => ACRONYMS.get(word.toLowerCase()) ?? word);
  // "iOS" stays as it is.
  return /^[a-z]+[A-Z]/.test(told) ? told : told.charAt(0).toUpperCase() + told.slice(1);
}
