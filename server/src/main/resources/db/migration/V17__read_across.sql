-- What a trial or a comparison of many installations looks at lies together, whole: no row has to be looked up one by one.
DROP INDEX reading_by_point;
CREATE INDEX reading_by_point ON reading (point, installation_id, sequence, component, visit_id, typed, si, standard_uncertainty,
    resolution, unit, instrument, grade, entered_by, entered_at, by_crew, id);
