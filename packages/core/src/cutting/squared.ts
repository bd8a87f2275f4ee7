/** At most so many strips between two squarings, or elbows appear (rule CU-6, common practice: three or four). */
export const STRIPS_BETWEEN = 4;

/** How often the end of a cloth is squared again while so many strips are cut from it (rule CU-6). */
export const squaredAgain = (strips: number): number => Math.max(0, Math.ceil(strips / STRIPS_BETWEEN) - 1);
