import { styled } from '@mui/material/styles';
import { useEffect, useState } from 'react';
import { onDropped, takeDropped } from '../../../app/droppedFile.ts';
import { useAppSelector } from '../../../app/store.ts';
import { ComingFile } from './ComingFile.tsx';
import { OutCard } from './OutCard.tsx';
import { TakeInCard } from './TakeInCard.tsx';
import { useTakeIn } from './useTakeIn.ts';

const Page = styled('div')({
  height: '100%',
  overflow: 'auto',
  padding: '16px 20px 32px',
  display: 'flex',
  flexDirection: 'column',
  gap: 16,
});

/** Files out and in: all of the set-up or a part of it, to keep, to give and to take. */
export function FilesTab() {
  const asItWas = useAppSelector((state) => state.setup.asItWas);
  const takingIn = useTakeIn();
  const { stage, read } = takingIn;
  const [wasThere, setWasThere] = useState(false);
  if (stage.kind === 'planned' && !wasThere) setWasThere(true);
  // The newest way to read is what is asked, whenever a file is let go.
  useEffect(() => {
    const take = () => {
      const file = takeDropped();
      if (file) read(file);
    };
    take();
    return onDropped(take);
  });
  if (stage.kind === 'planned') {
    return (
      <ComingFile
        key={stage.file}
        file={stage.file}
        plan={stage.plan}
        onMap={takingIn.map}
        onTake={takingIn.take}
        onCancel={takingIn.stop}
      />
    );
  }
  return (
    <Page>
      <OutCard />
      {!asItWas && <TakeInCard stage={stage} isBack={wasThere} onFile={read} onStop={takingIn.stop} />}
    </Page>
  );
}
