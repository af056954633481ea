/** Writes a deck's name in place: Enter or leaving keeps it, Escape does not. */
import { Field } from './recipes.tsx';
import { t } from '../words/words.ts';

const LONGEST = 200;

interface Props {
  readonly name: string;
  /** Called only with a new name that is one. */
  readonly keep: (name: string) => void;
  readonly close: () => void;
}

export function NameField({ name, keep, close }: Props) {
  return (
    <Field
      aria-label={t('Name of the deck')}
      defaultValue={name}
      maxLength={LONGEST}
      autoFocus
      w="100%"
      onBlur={(event) => {
        const written = event.target.value.trim();
        close();
        if (written !== '' && written !== name) keep(written);
      }}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
        if (event.key === 'Escape') close();
      }}
    />
  );
}
