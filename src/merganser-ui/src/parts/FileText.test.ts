import { expect, it } from 'vitest';
import { textOf } from './FileText';

/** Bytes by the Unicode standard and by the code page's table (é is 0xE9 there). */
it.each([
  ['UTF-8', [0x67, 0xc3, 0xa9], 'gé'],
  ['UTF-8 with its mark', [0xef, 0xbb, 0xbf, 0x67], 'g'],
  ['UTF-16, little end first', [0xff, 0xfe, 0x67, 0x00, 0xe9, 0x00], 'gé'],
  ['UTF-16, big end first', [0xfe, 0xff, 0x00, 0x67], 'g'],
  ['Windows-1252', [0x67, 0xe9], 'gé'],
])('reads %s', (_, bytes, text) => expect(textOf(new Uint8Array(bytes))).toBe(text));
