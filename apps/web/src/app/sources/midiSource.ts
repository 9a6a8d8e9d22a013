import type { InputSource, OnHeard } from './source.ts';
import { WORDS } from './words.ts';

/** The kinds of channel messages that are heard (MIDI 1.0): the upper half of their first byte. */
const NOTE_OFF = 0x80;
/**
 * Status bytes of channel messages, the channel in the lower four bits (MIDI 1.0 Detailed Specification,
 * table I).
 */
const NOTE_ON = 0x90;
const CONTROL_CHANGE = 0xb0;

/** MIDI devices (W3C Web MIDI): notes and controllers. */
export const midiSource: InputSource = {
  id: 'midi',
  name: WORDS.midi,
  isThere: () => 'requestMIDIAccess' in navigator,
  asks: true,
  listen: async (onHeard) => {
    const access = await navigator.requestMIDIAccess().catch(() => {
      throw new Error(WORDS.midiRefused);
    });
    const ended = new AbortController();
    const hear = () => {
      for (const input of access.inputs.values())
        input.onmidimessage = (event) => onMessage(event.data, onHeard);
    };
    hear();
    access.addEventListener('statechange', hear, { signal: ended.signal });
    return () => {
      ended.abort();
      for (const input of access.inputs.values()) input.onmidimessage = null;
    };
  },
};

/** A message as something heard. Running status does not occur: Web MIDI gives whole messages. */
function onMessage(data: Uint8Array | null, onHeard: OnHeard): void {
  const [status = 0, number = 0, value = 0] = data ?? [];
  const channel = (status & 0x0f) + 1;
  const kind = status & 0xf0;
  if (kind === CONTROL_CHANGE) {
    const id = `midi/${channel}/controller/${number}`;
    onHeard({
      id,
      name: WORDS.midiController(channel, number),
      change: { kind: 'value', value: value / 127 },
    });
  }
  if (kind !== NOTE_ON && kind !== NOTE_OFF) return;
  // A note on with no velocity is a note off (MIDI 1.0).
  const down = kind === NOTE_ON && value > 0;
  const id = `midi/${channel}/note/${number}`;
  onHeard({ id, name: WORDS.midiNote(channel, number), change: { kind: down ? 'down' : 'up' } });
}
