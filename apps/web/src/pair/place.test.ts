import { takeCode, wantedPath } from './place.ts';

const HERE = 'https://studio.test:4680';

test.each([
  ['', '/'],
  ['?to=%2Fpanel%2Fwall-panel', '/panel/wall-panel'],
  ['?to=%2Fboard', '/board'],
  ['?to=https%3A%2F%2Fevil.example%2F', '/'],
  ['?to=%2F%2Fevil.example%2Fboard', '/'],
  ['?to=%2F%5Cevil.example', '/'],
  ['?to=javascript%3Aalert(1)', '/'],
  ['?to=board', '/'],
  ['?to=%2F%2F%2F', '/'],
])('after %j the page goes on to %s', (search, path) => {
  expect(wantedPath(search, HERE)).toBe(path);
});

test.each([
  ['#482913', '482913'],
  ['#48291', ''],
  ['#4829133', ''],
  ['#<b>123</b>', ''],
  ['', ''],
])('%j brings the code %j', (hash, code) => {
  expect(takeCode(hash)).toBe(code);
});
