-- The newest trials of a bow are found among years of its papers.
CREATE INDEX trial_of_bow ON paper (bow_id, started_at) WHERE plan ->> 'kind' = 'trial';

-- Checks of one go are told together.
CREATE INDEX finding_of_go ON check_finding (bow_id, after_move, after_change);

-- What a story asks by day is read from these alone.
CREATE INDEX set_by_day ON shot_set (paper_id, started_at, arrow_version_id, at_target, id);
CREATE INDEX fired_by_day ON shots_fired (bow_id, settling, fired_at, count, id);
CREATE INDEX speed_by_day ON chronograph_shot (bow_id, shot_at, grains, id);

-- Corrections are few among the moves of a bow.
CREATE INDEX correction_of_bow ON move (bow_id) WHERE corrects IS NOT NULL;
