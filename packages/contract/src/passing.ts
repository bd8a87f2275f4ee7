/**
 * Whether what was refused with this status passes by itself: the server or its disk is in trouble, or one has to be let
 * in first (401). What was to be sent waits and is sent again; everything else is for the quilter to settle.
 */
export const passesAt = (status: number): boolean => status === 401 || status >= 500;
