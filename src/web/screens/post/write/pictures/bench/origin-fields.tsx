import type { PictureOrigin } from '../../../../../data/post-rows.ts';
import { ChoiceField, TextField } from '../../../../../ui/field.tsx';

const KINDS: { value: PictureOrigin['kind']; name: string }[] = [
  { value: 'unsaid', name: 'not said yet' },
  { value: 'own', name: 'our own' },
  { value: 'licence', name: 'under a licence' },
  { value: 'permission', name: 'by permission' },
];

/** Whose a picture is, and under which terms it is shown. */
export function OriginFields({
  origin,
  onChange,
}: {
  origin: PictureOrigin;
  onChange: (origin: PictureOrigin) => void;
}) {
  return (
    <>
      <ChoiceField
        label="Where it comes from"
        value={origin.kind}
        onChange={(kind) => onChange({ ...origin, kind })}
        options={KINDS}
      />
      {origin.kind !== 'own' && (
        <TextField
          label="Credit"
          value={origin.credit}
          onChange={(credit) => onChange({ ...origin, credit })}
          placeholder="Who took it or owns it"
        />
      )}
      {origin.kind === 'licence' && (
        <TextField
          label="Licence"
          value={origin.licence}
          onChange={(licence) => onChange({ ...origin, licence })}
          placeholder="CC BY 4.0"
        />
      )}
    </>
  );
}
