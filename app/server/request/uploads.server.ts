import { ConcurrencyLimiter } from "~data/concurrency-limiter";

const all = new ConcurrencyLimiter({ atOnce: 16, inside: 16, ofOne: 8 });
const own = new ConcurrencyLimiter({ atOnce: 16, inside: 16, ofOne: 2 });

/**
 * Files are held in memory while they arrive (25 MB each): at most sixteen at once, eight of one practice, two of one
 * practitioner; who comes then is told to come again. Takes a place, or throws Busy; returns what gives it back.
 */
export function enterUploads(practiceId: string, practitionerId: string): () => void {
  const leaveOwn = own.enter(practitionerId);
  try {
    const leaveAll = all.enter(practiceId);
    return () => {
      leaveOwn();
      leaveAll();
    };
  } catch (error) {
    leaveOwn();
    throw error;
  }
}
