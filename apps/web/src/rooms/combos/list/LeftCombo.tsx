import { useState } from 'react';
import { useNavigate } from 'react-router';
import { Button } from '../../../ui/buttons/Button.tsx';
import { leftCombo, takeUpLeftCombo } from './leftCombo.ts';

/** Offers the combo that was begun before and not saved. */
export function LeftCombo() {
  const navigate = useNavigate();
  const [left] = useState(leftCombo);
  if (!left) return null;
  return (
    <p className="pt-1 text-sm text-quiet">
      Begun and not saved: <span className="font-line">{left.line || left.title}</span>
      <Button
        weight="bare"
        className="px-1!"
        onClick={() => {
          takeUpLeftCombo();
          void navigate('/combos/new');
        }}
      >
        Take it up
      </Button>
    </p>
  );
}
