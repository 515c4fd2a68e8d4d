import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { answering, refusing, show } from '../../../testing/show';
import type { Photograph } from '../../../pictures/usePhotographs';
import { MarkingSheet } from '../MarkingSheet';
import { freshMarking } from '../paperTypes';
import { PhotoPlacing } from './PhotoPlacing';
import { UnderSheet } from './UnderSheet';
import { usePhotoSheet } from './usePhotoSheet';

beforeEach(() => localStorage.clear());
afterEach(cleanup);

const words = 'What is seen of the sheet is 11.7 in by 8.3 in.';
const picture: Photograph = {
  id: 'p1',
  of: 'set',
  caption: '',
  width: 1000,
  height: 800,
  sheet: null,
  addedAt: '2026-11-23T18:00:00Z',
};
const placed = { ...picture, sheet: { width: 12, height: 8, words } };

function Bench() {
  const photo = usePhotoSheet('b', 'paper1', 's1');
  return photo.placing ? (
    <>
      <PhotoPlacing picture={photo.placing} photo={photo} />
      <button onClick={() => void photo.keep()}>Lay it</button>
    </>
  ) : (
    <>
      <MarkingSheet
        nock={false}
        marking={freshMarking('shootingSide')}
        px={100}
        photo={photo}
        onChange={vi.fn()}
        onKeep={vi.fn()}
        onCancel={vi.fn()}
      />
      <UnderSheet photo={photo} />
    </>
  );
}

const keys = (text: string) => {
  screen.getByTestId('placing').focus();
  return userEvent.keyboard(text);
};

describe('a photograph under the sheet', () => {
  it('has its corners and a length pressed by keys, taken back and corrected, and lies there in true size', async () => {
    let one = picture;
    const asked = answering({
      '/pictures?of=set&ofId=s1': () => [one],
      '/api/pictures/p1/sheet': () => (one = placed),
    });
    show(<Bench />);
    await userEvent.click(screen.getByText('A photograph of the paper'));
    await userEvent.click(await screen.findByRole('button', { name: 'Photograph 1' }));
    expect(screen.getByRole('heading', { name: 'Press the sheet’s upper left corner' })).toBeTruthy();
    await keys('{Enter}{ArrowRight}{Enter}{ArrowRight}{Backspace}');
    expect(screen.getByRole('heading', { name: 'Press its second corner' })).toBeTruthy();
    await keys(
      '{Shift>}{ArrowRight}{/Shift}{Enter}{Shift>}{ArrowDown}{/Shift}{Enter}{Shift>}{ArrowLeft}{/Shift}{Enter}',
    );
    expect(screen.getByRole('heading', { name: 'Press one end of a length that you know' })).toBeTruthy();
    await keys('{Enter}{ArrowRight}{Enter}');
    await userEvent.type(screen.getByLabelText(/How long that length is/), '5');
    await userEvent.click(screen.getByText('Lay it'));
    await waitFor(() => expect(screen.getByTestId('under')).toBeTruthy());
    expect(asked.find(({ method }) => method === 'POST')!.body).toEqual({
      corners: [
        { x: 500, y: 400 },
        { x: 524, y: 400 },
        { x: 524, y: 420 },
        { x: 504, y: 420 },
      ],
      sheet: null,
      from: { x: 504, y: 420 },
      to: { x: 506, y: 420 },
      length: '5',
    });
    const under = screen.getByTestId('under');
    expect([under.getAttribute('width'), under.getAttribute('height')]).toEqual(['1200', '800']);
    expect(screen.getByText(words)).toBeTruthy();
  });

  it('asks for no length where the sheet’s size is known, and says beside it what is wrong', async () => {
    answering({
      '/pictures?of=set&ofId=s1': [picture],
      '/api/pictures/p1/sheet': () => refusing({ corners: ['These four are no corners of a sheet.'] }),
    });
    show(<Bench />);
    await userEvent.click(screen.getByText('A photograph of the paper'));
    await userEvent.click(await screen.findByRole('button', { name: 'Photograph 1' }));
    await userEvent.click(screen.getByRole('button', { name: 'A4' }));
    expect(screen.queryByLabelText(/How long that length is/)).toBeNull();
    await keys('{Enter}{Enter}{Enter}{Enter}');
    expect(screen.getByText(/4 of 4 presses/)).toBeTruthy();
    await userEvent.click(screen.getByText('Lay it'));
    expect(await screen.findByText('These four are no corners of a sheet.')).toBeTruthy();
    expect(screen.getByText(/4 of 4 presses/)).toBeTruthy();
  });

  it('is moved under the sheet, and lies there still after a reload', async () => {
    answering({ '/pictures?of=set&ofId=s1': [placed] });
    localStorage.setItem('merganser-under-paper1', JSON.stringify({ id: 'p1', middle: { x: 6, y: 4 } }));
    const first = show(<Bench />);
    const before = Number((await screen.findByTestId('under')).getAttribute('x'));
    await userEvent.click(screen.getByRole('button', { name: 'Moves the photograph' }));
    fireEvent.keyDown(screen.getByTestId('marking-sheet'), { key: 'ArrowRight', shiftKey: true });
    expect(Number(screen.getByTestId('under').getAttribute('x'))).toBeCloseTo(before + 25, 6);
    first.unmount();
    show(<Bench />);
    expect(Number((await screen.findByTestId('under')).getAttribute('x'))).toBeCloseTo(before + 25, 6);
  });
});
