/// <reference lib="webworker" />
import { answerWays } from './answer-ways';
import type { WaysRequest } from './ways-protocol';

const answer = answerWays((message) => postMessage(message));
addEventListener('message', ({ data }: MessageEvent<WaysRequest>) => answer(data));
