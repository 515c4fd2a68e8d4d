import { useMutation } from '@tanstack/react-query';
import { Refusal } from './client';

const NO_FAULTS: Record<string, string[]> = {};

/** A question that is asked by a press. Unlike an act it changes nothing that lasts, so it does not wait for a lost server. */
export function useAsk<Question, Answer>(ask: (question: Question) => Promise<Answer>) {
  const { mutateAsync, data, error, isPending, reset } = useMutation<Answer, Error, Question>({
    mutationFn: ask,
    networkMode: 'always',
  });
  return {
    /** Answers with what the server said, or null when it refused; the refusal stands in `problem`. */
    ask: (question: Question): Promise<Answer | null> => mutateAsync(question).catch(() => null),
    told: data ?? null,
    problem: error,
    faults: error instanceof Refusal ? error.errors : NO_FAULTS,
    busy: isPending,
    clear: reset,
  };
}
