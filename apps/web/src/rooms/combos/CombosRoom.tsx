import { Plus } from 'lucide-react';
import { useState } from 'react';
import { Navigate, useLocation, useParams } from 'react-router';
import type { ComboView } from '@eurhythm/contract';
import { newId } from '../../server/api.ts';
import { useDraft } from '../../sync/drafts/useDraft.ts';
import { ButtonLink } from '../../ui/buttons/Button.tsx';
import { ListAndPage, useIsWide } from '../../ui/panels/ListAndPage.tsx';
import { Plain } from '../../ui/panels/Panel.tsx';
import { Compose } from './compose/Compose.tsx';
import { ComboList } from './list/ComboList.tsx';
import { RhythmImport } from './line/RhythmImport.tsx';
import { LeftCombo } from './list/LeftCombo.tsx';
import { leaveNewCombo } from './list/leftCombo.ts';
import { emptyCombo, saveable } from './list/newCombo.ts';
import { Workbench } from './workbench/Workbench.tsx';
import { useAllCombos, useCombos, useGym } from '../../server/gymData.ts';

/** The gym's combos on the left, the workbench for one of them on the right. */
export function CombosRoom() {
  const { id } = useParams();
  const { key } = useLocation();
  const combos = useAllCombos();
  const isWide = useIsWide();
  const first = combos.find((combo) => !combo.retired);
  if (id === undefined && first && isWide) return <Navigate to={`/combos/${first.id}`} replace />;
  const open = id === 'new' ? undefined : combos.find((combo) => combo.id === id);
  return (
    <ListAndPage
      width="lg:w-[19rem]"
      // Without any combo there is nothing to list.
      isOpen={id !== undefined || first === undefined}
      back={{ to: '/combos', label: 'All combos' }}
      list={
        <>
          <div className="px-5 pt-4">
            <ButtonLink to="/combos/new" className="w-full" onClick={leaveNewCombo}>
              <Plus size={18} aria-hidden /> Write a combo
            </ButtonLink>
            <Compose />
            <RhythmImport />
            {id === 'new' && <LeftCombo key={key} />}
          </div>
          <ComboList />
        </>
      }
    >
      {id !== undefined && id !== 'new' && !open ? (
        <div className="px-8">
          <Plain>This combo is not in the book. Choose one on the left.</Plain>
        </div>
      ) : (
        <OpenCombo key={open?.id ?? `new-${key}`} combo={open} />
      )}
    </ListAndPage>
  );
}

function OpenCombo({ combo }: { combo: ComboView | undefined }) {
  const all = useCombos();
  const { grades } = useGym();
  const [ownId] = useState(() => combo?.id ?? newId());
  const saved = combo ? saveable(combo) : emptyCombo(all, grades);
  const draft = useDraft(`combo.${combo?.id ?? 'new'}`, saved, combo?.version);
  // A draft of an earlier release may lack what is new.
  const value = { ...saved, ...draft.value };
  return <Workbench id={ownId} isNew={!combo} combo={value} draft={draft} />;
}
