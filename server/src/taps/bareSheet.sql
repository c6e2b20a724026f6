-- What a tap sheet needs at the least: rows, supply side, readings, and how many jobs spoke for and against.
select t.*, u.name, s.landmark_a, s.landmark_b,
    (select json_agg(r order by r.position) from tap_readings r where r.tap_point_id = t.id) as readings,
    (select json_agg(seen) from (
      select o.kind, count(distinct r.job_id) as jobs, max(r.sequence) as newest
      from tap_observations o join readings r on r.id = o.reading_id
      where o.tap_point_id = t.id and r.withdrawn_at is null group by o.kind) as seen) as seen
  from tap_points t join users u on u.id = t.logged_by
  left join sources s on s.model_id = t.model_id and s.id = t.source_id
  where t.model_id = $1 and not t.retired order by t.source_id
