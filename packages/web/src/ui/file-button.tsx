/** A button that opens the system's chooser of files, by pointer and by key. */
import { useRef, type ReactNode } from 'react';
import { Action } from './recipes.tsx';

interface Props {
  readonly accept: string;
  /** Of the field that takes the file. */
  readonly label: string;
  readonly take: (file: File) => void;
  readonly look?: 'main' | 'plain' | 'quiet';
  readonly size?: 'small' | 'normal';
  readonly disabled?: boolean;
  readonly children: ReactNode;
}

export function FileButton({
  accept,
  label,
  take,
  look = 'plain',
  size = 'normal',
  disabled = false,
  children,
}: Props) {
  const chooser = useRef<HTMLInputElement>(null);
  return (
    <>
      <Action look={look} size={size} disabled={disabled} onClick={() => chooser.current?.click()}>
        {children}
      </Action>
      <input
        ref={chooser}
        type="file"
        accept={accept}
        aria-label={label}
        hidden
        disabled={disabled}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file !== undefined) take(file);
          event.target.value = '';
        }}
      />
    </>
  );
}
