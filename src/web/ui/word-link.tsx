import { Link, type LinkProps } from 'react-router';

/** A link that reads as words: strong where it is the way on, quiet within a sentence. */
export function WordLink({ quiet = false, className = '', ...rest }: LinkProps & { quiet?: boolean }) {
  return (
    <Link
      className={`text-marram underline underline-offset-4 ${quiet ? 'decoration-marram/40 hover:decoration-marram' : 'font-semibold'} ${className}`}
      {...rest}
    />
  );
}
