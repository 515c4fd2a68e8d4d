import bow from '../../../../tests/vectors/answers/bow.json';
import dozen from '../../../../tests/vectors/answers/dozen.json';
import finder from '../../../../tests/vectors/answers/finder.json';
import flight from '../../../../tests/vectors/answers/flight.json';
import found from '../../../../tests/vectors/answers/found.json';
import nocks from '../../../../tests/vectors/answers/nocks.json';
import paper from '../../../../tests/vectors/answers/paper.json';
import paperChoices from '../../../../tests/vectors/answers/paperChoices.json';
import plan from '../../../../tests/vectors/answers/plan.json';
import setup from '../../../../tests/vectors/answers/setup.json';
import story from '../../../../tests/vectors/answers/story.json';
import storyAnswers from '../../../../tests/vectors/answers/storyAnswers.json';
import visits from '../../../../tests/vectors/answers/visits.json';
import type { Schemas } from '../api/client';

/**
 * What the demo's server answers, for tests to begin with: AnswerTests keeps these files in the shape of what is sent.
 */
export const sent = {
  bow: bow as Schemas['BowView'],
  dozen: dozen as Schemas['DozenView'],
  finder: finder as Schemas['FinderStart'],
  flight: flight as Schemas['FlightView'],
  found: found as Schemas['FinderView'],
  nocks: nocks as Schemas['NockRound'],
  paper: paper as Schemas['PaperView'],
  paperChoices: paperChoices as Schemas['PaperChoices'],
  plan: plan as Schemas['SeasonPlanView'],
  setup: setup as Schemas['SetupView'],
  story: story as Schemas['StoryPageView'],
  storyAnswers: storyAnswers as Schemas['StoryAnswers'],
  visits: visits as Schemas['BowVisits'],
};

/** A thing of which a test needs only a part. */
export const only = <T>(part: Partial<T>): T => part as T;
