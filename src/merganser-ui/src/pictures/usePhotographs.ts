import { useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { useActs } from '../api/useActs';

export type Photograph = Schemas['PictureView'];
export type PictureOf = NonNullable<Schemas['PictureOf']>;

/** Photographs of one thing of a bow: those that there are, one more, and the way to the bin. */
export function usePhotographs(bowId: string, of: PictureOf, ofId: string | null) {
  const queries = useQueryClient();
  const acts = useActs(`photographs ${bowId} ${of} ${ofId}`);
  const query = { of, ofId: ofId ?? undefined };
  const key = ['pictures', bowId, of, ofId];
  const read = useQuery({
    queryKey: key,
    queryFn: () => answer(api.GET('/api/bows/{id}/pictures', { params: { path: { id: bowId }, query } })),
  });
  const told = async () => {
    await Promise.all([
      queries.invalidateQueries({ queryKey: ['pictures', bowId] }),
      queries.invalidateQueries({ queryKey: ['story', bowId] }),
      queries.invalidateQueries({ queryKey: ['bin'] }),
    ]);
  };
  return {
    all: read.data ?? [],
    /** Not known yet which there are. */
    reading: read.isPending,
    fault: acts.faults.file?.[0] ?? acts.problem?.message ?? read.error?.message ?? null,
    /** The file itself was refused: another one is needed. */
    refused: acts.faults.file !== undefined,
    busy: acts.busy,
    add: async (file: File, caption: string): Promise<Photograph | null> => {
      const body = await file.arrayBuffer();
      const kept = await acts.act(`photograph ${file.name} ${file.size} ${caption}`, (pictureId) =>
        answer(
          api.POST('/api/bows/{id}/pictures', {
            params: { path: { id: bowId }, query: { ...query, pictureId, caption: caption || undefined } },
            body: new Blob([body]) as unknown as string,
            bodySerializer: (bytes: unknown) => bytes as BodyInit,
            headers: { 'Content-Type': file.type || 'image/jpeg' },
          }),
        ),
      );
      if (kept) await told();
      return kept;
    },
    bin: async (id: string) => {
      const gone = await acts.act(`bin ${id}`, () =>
        answer(api.DELETE('/api/pictures/{id}', { params: { path: { id } } })).then(() => true),
      );
      if (gone) await told();
      return gone === true;
    },
    told,
  };
}

export type PhotographWork = ReturnType<typeof usePhotographs>;

export const thumbnail = (id: string) => `/api/pictures/${id}/thumbnail.jpg`;
export const image = (id: string) => `/api/pictures/${id}/image.jpg`;
