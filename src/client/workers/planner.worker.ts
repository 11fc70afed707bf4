import { answerPlanner, type PlannerRequest } from '../features/planner/planner-answers';

/* Plans are searched here, away from the interface's thread. */
self.onmessage = ({ data }: MessageEvent<{ id: number; request: PlannerRequest }>) => {
  self.postMessage({ id: data.id, answer: answerPlanner(data.request) });
};
