import { Download } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useState } from 'react';
import { Link } from 'react-router';
import { Button } from '../../../ui/buttons/Button.tsx';
import { HomePages } from './HomePages.tsx';

const FILES = [
  ['homework.zip', 'Homework', 'sound for headphones, printable sheet and cautions, in a zip'],
  ['audio.wav', 'Sound', 'the whole session as a WAV file'],
  ['rhythm.mid', 'Rhythm', 'strikes, tempo and calls as a MIDI file'],
  ['calls.vtt', 'Calls', 'as captions, WebVTT'],
] as const;

/** The session as files: to train at home, or to go on with elsewhere. `round` narrows them to one round. */
export function FilesMenu({ id, round }: { id: string; round?: string }) {
  const query = round === undefined ? '' : `?round=${encodeURIComponent(round)}`;
  const [isHome, setHome] = useState(false);
  return (
    <>
      {round === undefined && <HomePages id={id} open={isHome} onClose={() => setHome(false)} />}
      <DropdownMenu.Root modal={false}>
        <DropdownMenu.Trigger asChild>
          <Button>
            <Download size={16} aria-hidden /> Files
          </Button>
        </DropdownMenu.Trigger>
        <DropdownMenu.Content
          align="end"
          sideOffset={6}
          className="z-40 w-80 rounded-md border-2 border-ink bg-paper p-1"
        >
          <DropdownMenu.Item asChild>
            <Link
              to={`/sessions/${encodeURIComponent(id)}/card`}
              className="block rounded px-3 py-2 outline-none data-[highlighted]:bg-tape data-[highlighted]:text-on-tape"
            >
              <strong className="block">Card</strong>
              <span className="text-sm text-quiet">to print, in black and white</span>
            </Link>
          </DropdownMenu.Item>
          {round === undefined && (
            <DropdownMenu.Item
              onSelect={() => setHome(true)}
              className="block cursor-pointer rounded px-3 py-2 outline-none data-[highlighted]:bg-tape data-[highlighted]:text-on-tape"
            >
              <strong className="block">Page for home</strong>
              <span className="text-sm text-quiet">
                one file for a fighter that runs by itself, with sound
              </span>
            </DropdownMenu.Item>
          )}
          {FILES.map(([file, name, what]) => (
            <DropdownMenu.Item key={file} asChild>
              <a
                href={`/api/sessions/${encodeURIComponent(id)}/${file}${query}`}
                download
                className="block rounded px-3 py-2 outline-none data-[highlighted]:bg-tape data-[highlighted]:text-on-tape"
              >
                <strong className="block">{name}</strong>
                <span className="text-sm text-quiet">{what}</span>
              </a>
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Root>
    </>
  );
}
