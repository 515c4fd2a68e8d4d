-- The newest trials of a bow are found among years of its papers.
CREATE INDEX trial_of_bow ON paper (bow_id, started_at) WHERE plan ->> 'kind' = 'trial';
