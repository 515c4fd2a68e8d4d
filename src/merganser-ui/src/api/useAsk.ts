import { useMutation } from '@tanstack/react-query';
import { faultsOf } from './client';

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
    faults: faultsOf(error),
    busy: isPending,
    clear: reset,
  };
}
