import { WandSparkles } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useCombos, useGym } from '../../../server/gymData.ts';
import { putDraft } from '../../../sync/drafts/useDraft.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { Sheet } from '../../../ui/panels/Panel.tsx';
import { leaveNewCombo } from '../list/leftCombo.ts';
import { emptyCombo, freeNumber } from '../list/newCombo.ts';
import { ComposeForm, type ComposedTaken } from './ComposeForm.tsx';

/** Proposes new lines for a grade; one that is taken stands on the workbench as a combo that is not saved yet. */
export function Compose() {
  const combos = useCombos();
  const { grades } = useGym();
  const navigate = useNavigate();
  const [isOpen, setOpen] = useState(false);
  const take = ({ line, gradeId, bpm }: ComposedTaken): void => {
    setOpen(false);
    leaveNewCombo();
    putDraft('combo.new', {
      ...emptyCombo(combos, grades),
      ...{ gradeId, number: freeNumber(combos, gradeId), line, bpm },
    });
    void navigate('/combos/new');
  };
  return (
    <>
      <Button weight="bare" className="w-full" onClick={() => setOpen(true)}>
        <WandSparkles size={16} aria-hidden /> New lines for a grade
      </Button>
      <Sheet open={isOpen} title="New lines for a grade" onClose={() => setOpen(false)}>
        <ComposeForm onTake={take} />
      </Sheet>
    </>
  );
}
