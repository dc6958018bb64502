/** What a trace of someone's own lines names as its method. */
export const OWN_LINES = 'own-lines';

/** What a paper of own lines is called that has no other name. */
export const OWN_LINES_NAME = 'Own lines';
