import { useId, useState, type ReactNode } from 'react';
import { Button } from '../../ui/buttons/Button.tsx';

interface PassphraseFormProps {
  readonly label: string;
  readonly isNew: boolean;
  /** What the button does. */
  readonly children: ReactNode;
  /** Does something with it, once. @throws with the sentence that stands below the field then */
  onSay(passphrase: string): Promise<void>;
}

/** A passphrase is typed; it is kept nowhere on this device. */
export function PassphraseForm({ label, isNew, onSay, children }: PassphraseFormProps) {
  const id = useId();
  const [passphrase, setPassphrase] = useState('');
  const [refusal, setRefusal] = useState('');
  const [isAsking, setAsking] = useState(false);
  const say = async (): Promise<void> => {
    setAsking(true);
    try {
      await onSay(passphrase);
      setPassphrase('');
    } catch (error) {
      setRefusal((error as Error).message);
    }
    setAsking(false);
  };
  return (
    <form
      className="flex flex-col gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void say();
      }}
    >
      <label className="flex flex-col gap-1 text-lg font-semibold">
        {label}
        <input
          type="password"
          autoComplete={isNew ? 'new-password' : 'current-password'}
          value={passphrase}
          aria-invalid={refusal !== ''}
          aria-describedby={id}
          className="min-h-12 rounded-md border border-quiet bg-paper px-3 font-normal"
          onChange={(event) => {
            setPassphrase(event.target.value);
            setRefusal('');
          }}
        />
      </label>
      <p id={id} role="alert" className="min-h-6 font-semibold text-caution">
        {refusal}
      </p>
      <Button weight="main" type="submit" disabled={passphrase === '' || isAsking}>
        {children}
      </Button>
    </form>
  );
}
