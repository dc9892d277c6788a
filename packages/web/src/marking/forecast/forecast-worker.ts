/** Reckons where a class is going beside the page, so that it goes on being answered. */
import { forecast } from '@itinerary/core';
import type { ForecastAsked } from '@itinerary/core';
import type { Reckoned } from './in-worker.ts';

addEventListener('message', ({ data }: MessageEvent<ForecastAsked>) => {
  let news: Reckoned;
  try {
    news = { found: forecast(data) };
  } catch (error) {
    news = { failed: String(error) };
  }
  postMessage(news);
});
