/** A line of text that is kept when one leaves it: by Enter, for something else, or with the page. */
import { useLayoutEffect, useRef, type ComponentProps } from 'react';
import { Field } from './recipes.tsx';
import { useLeaving } from './use-leaving.tsx';

type Props = Omit<
  ComponentProps<typeof Field>,
  'value' | 'defaultValue' | 'ref' | 'onInput' | 'onBlur' | 'onKeyDown'
> & {
  /** Where it becomes another, that stands in the field, unless something is being written there. */
  readonly value: string;
  /** Called only with another text. */
  readonly keep: (text: string) => void;
  /** Whether a text can be kept; where not, what stood there before stands there again. */
  readonly fits?: (text: string) => boolean;
  /** Called when one has left it, by Escape too. */
  readonly left?: () => void;
};

export const isWithin = (amount: number, from: number, to: number): boolean => amount >= from && amount <= to;

export function KeptField({ value, keep, fits, left, ...rest }: Props) {
  const field = useRef<HTMLInputElement>(null);
  const written = useRef(value);
  const kept = useRef(value);
  useLayoutEffect(() => {
    if (written.current !== kept.current) return;
    written.current = kept.current = value;
    if (field.current !== null) field.current.value = value;
  }, [value]);
  const leave = () => {
    if (written.current === kept.current) return;
    kept.current = written.current;
    if (fits?.(written.current) !== false) return keep(written.current);
    written.current = kept.current = value;
    if (field.current !== null) field.current.value = value;
  };
  useLeaving(leave);
  return (
    <Field
      {...rest}
      ref={field}
      defaultValue={value}
      onInput={(event) => (written.current = event.currentTarget.value)}
      onBlur={() => {
        leave();
        left?.();
      }}
      onKeyDown={(event) => {
        if (event.key === 'Enter' || (event.key === 'Escape' && left !== undefined)) event.currentTarget.blur();
      }}
    />
  );
}
