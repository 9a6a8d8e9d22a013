import { type PictureUse, pictureOnFace } from '@nimble-lever/core/devices';
import type { Face } from '@nimble-lever/core/setup';
import { type ClipboardEvent, type DragEvent, useRef, useState } from 'react';
import { sendPicture } from '../app/setup/sendPicture.ts';
import { WORDS } from './words.ts';

/** Sets parts of a face. */
export type SetFace = (parts: Partial<Face>) => void;

/** Whether files are dragged, and not something of the page. */
export function hasFiles({ dataTransfer }: DragEvent): boolean {
  return dataTransfer.types.includes('Files');
}

/**
 * Takes pictures that are chosen, dropped or pasted onto a face. One that takes its time comes to the face it was taken
 * for, whatever is selected by then.
 *
 * @param target gives what sets the face that is edited now
 * @param shown where it is seen, by which it is kept as large as it needs to be
 */
export function usePictureTaking(target: () => SetFace, disabled: boolean, shown: PictureUse = 'face') {
  const [going, setGoing] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [over, setOver] = useState(false);
  const sending = useRef<AbortController | null>(null);
  const take = async (file: File, set: SetFace) => {
    // A second one takes the place of the first.
    sending.current?.abort();
    const own = new AbortController();
    sending.current = own;
    const name = file.name || WORDS.pastedPicture;
    setWrong(null);
    setGoing(name);
    const outcome = await sendPicture(file, own.signal, shown);
    if (sending.current !== own) return;
    sending.current = null;
    setGoing(null);
    switch (outcome.kind) {
      case 'kept':
        return set({ picture: pictureOnFace(outcome.id) });
      case 'stopped':
        return;
      case 'refused':
        return setWrong(WORDS.pictureWrong(name, outcome.why));
      case 'too-large':
        return setWrong(WORDS.pictureTooLarge(name));
      case 'away':
        return setWrong(WORDS.pictureAway(name));
    }
  };
  /** The first of some files, if there is one. */
  const give = (files: FileList | null, set: SetFace) => {
    const file = files?.[0];
    if (file) void take(file, set);
    return file !== undefined;
  };
  const takeFirst = (files: FileList | null) => !disabled && give(files, target());
  return {
    /** The name of the file that is on its way. */
    going,
    /** Why the last one was not taken. */
    wrong,
    /** A file hangs over the face. */
    over,
    take: takeFirst,
    /** Takes it for another face than the one that is edited. */
    give,
    stop: () => sending.current?.abort(),
    handlers: {
      onDragOver: (event: DragEvent) => {
        if (!hasFiles(event)) return;
        event.preventDefault();
        setOver(!disabled);
      },
      onDragLeave: () => setOver(false),
      onDrop: (event: DragEvent) => {
        if (!hasFiles(event)) return;
        event.preventDefault();
        setOver(false);
        takeFirst(event.dataTransfer.files);
      },
      onPaste: (event: ClipboardEvent) => {
        // Text for a field stays text, also where a program offers a picture of it.
        if (event.clipboardData.types.includes('text/plain')) return;
        if (takeFirst(event.clipboardData.files)) event.preventDefault();
      },
    },
  };
}

/** How pictures are taken onto a face. */
export type PictureTaking = ReturnType<typeof usePictureTaking>;
