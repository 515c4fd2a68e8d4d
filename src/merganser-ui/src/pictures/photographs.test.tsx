import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it } from 'vitest';
import { answering, refusing, show } from '../testing/show';
import { Photographs } from './Photographs';

afterEach(cleanup);

const picture = (id: string, caption: string) => ({
  id,
  of: 'set',
  caption,
  width: 1600,
  height: 1200,
  sheet: null,
  addedAt: '2026-11-23T18:00:00Z',
});
const file = (name = 'paper.jpg') => new File([new Uint8Array([255, 216, 1])], name, { type: 'image/jpeg' });
const pick = () => screen.getByLabelText<HTMLInputElement>('Add a photograph');

describe('photographs', () => {
  it('are added with what they show, opened large and put in the bin', async () => {
    let all = [picture('one', 'cams')];
    const asked = answering({
      '/pictures?of=set&ofId=s1': (body: unknown) => (body === null ? all : all[1]),
      '/api/pictures/one': () => new Response(null, { status: 204 }),
    });
    show(<Photographs bowId="b" of="set" ofId="s1" />);
    await userEvent.click(await screen.findByRole('button', { name: 'cams' }));
    expect(screen.getByTestId('large').getAttribute('src')).toBe('/api/pictures/one/image.jpg');
    await userEvent.type(screen.getByLabelText('What the next photograph shows'), 'the rest');
    all = [...all, picture('two', 'the rest')];
    await userEvent.upload(pick(), file());
    expect(await screen.findByRole('button', { name: 'the rest' })).toBeTruthy();
    const sent = asked.find(({ method }) => method === 'POST')!;
    expect(sent.path).toMatch(/^\/api\/bows\/b\/pictures\?of=set&ofId=s1&pictureId=[0-9a-f-]{36}&caption=the%20rest$/);
    await waitFor(() =>
      expect(screen.getByLabelText<HTMLInputElement>('What the next photograph shows').value).toBe(''),
    );

    all = all.slice(1);
    await userEvent.click(screen.getByRole('button', { name: 'Put it in the bin' }));
    await waitFor(() => expect(screen.queryByRole('button', { name: 'cams' })).toBeNull());
    expect(asked.some(({ method, path }) => method === 'DELETE' && path === '/api/pictures/one')).toBe(true);
  });

  it('say beside the key why a file is refused, and ask for another one', async () => {
    answering({
      '/pictures?of=bow': (body: unknown) => (body === null ? [] : refusing({ file: ['The file is damaged.'] })),
    });
    show(<Photographs bowId="b" of="bow" ofId={null} />);
    await userEvent.upload(pick(), file('half.jpg'));
    expect(await screen.findByText(/half\.jpg: The file is damaged\./)).toBeTruthy();
    expect(screen.queryByText('Try half.jpg again')).toBeNull();
  });

  it('are tried again as they were picked where it was no fault of theirs', async () => {
    let busy = true;
    const asked = answering({
      '/pictures?of=bow': (body: unknown) =>
        body === null
          ? busy
            ? []
            : [picture('one', 'cams')]
          : busy
            ? refusing({}, 'Another program holds the file.', 503)
            : picture('one', 'cams'),
    });
    show(<Photographs bowId="b" of="bow" ofId={null} />);
    await userEvent.upload(pick(), file());
    await screen.findByText(/paper\.jpg: Another program holds the file\./);
    busy = false;
    await userEvent.click(screen.getByRole('button', { name: 'Try paper.jpg again' }));
    expect(await screen.findByRole('button', { name: 'cams' })).toBeTruthy();
    const ids = asked.filter(({ method }) => method === 'POST').map(({ path }) => /pictureId=([^&]+)/.exec(path)![1]);
    expect(ids).toHaveLength(2);
    expect(ids[0]).toBe(ids[1]);
  });

  it('of one thing in the story are those of it alone, and no more is added there', async () => {
    answering({ '/pictures?of=bow': [picture('one', 'cams'), picture('two', 'rest')] });
    show(<Photographs bowId="b" of="bow" ofId={null} only={['two']} />);
    const large = await screen.findByTestId('large');
    expect(large.getAttribute('alt')).toBe('rest');
    expect(screen.queryByRole('button', { name: 'cams' })).toBeNull();
    expect(screen.queryByText('Add a photograph')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'rest' }));
  });
});
