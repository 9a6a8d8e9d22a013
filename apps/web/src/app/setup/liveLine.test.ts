import { type LineUser, LiveLine } from './liveLine.ts';

/** Someone who uses the line, and notes what happens to it. */
function user() {
  const noted: string[] = [];
  const own: LineUser = {
    onOpen: () => noted.push('open'),
    onLost: () => noted.push('lost'),
    onMessage: (message) => {
      noted.push(JSON.stringify(message));
      return message === 'mine';
    },
  };
  return { own, noted };
}

test('who begins while the line is open is told at once; who begins before, when it opens, each time', () => {
  const line = new LiveLine();
  const first = user();
  const end = line.use(first.own);
  line.opened(() => undefined);
  line.lost();
  line.opened(() => undefined);
  expect(first.noted).toEqual(['open', 'lost', 'open']);
  const second = user();
  line.use(second.own);
  expect(second.noted).toEqual(['open']);
  // Whose place another has taken ends nothing of the other's.
  end();
  line.lost();
  expect(second.noted).toEqual(['open', 'lost']);
  expect(first.noted).toEqual(['open', 'lost', 'open']);
});

test('what is said while the line is away is not said later; what nobody takes is told', () => {
  const line = new LiveLine();
  const said: string[] = [];
  line.say({ kind: 'early' });
  line.opened((text) => said.push(text));
  line.say({ kind: 'now' });
  line.lost();
  line.say({ kind: 'away' });
  line.opened((text) => said.push(text));
  expect(said).toEqual(['{"kind":"now"}']);
  expect(line.heard('mine')).toBe(false);
  const { own } = user();
  const end = line.use(own);
  expect([line.heard('mine'), line.heard('other')]).toEqual([true, false]);
  end();
  expect(line.heard('mine')).toBe(false);
});
