/** What can lie under a cover in the room until it is lifted, so that a class can read and guess first. */
export const COVERS = ['name', 'marks', 'gauge', 'checks', 'verdicts'] as const;
export type Cover = (typeof COVERS)[number];

/** What can be shown in the room, each for itself. */
export const ROOM_PARTS = ['papers', 'picture', 'account', 'steps'] as const;
export type RoomPart = (typeof ROOM_PARTS)[number];

/** How a comparison stands before a class. */
export interface Room {
  /** What lies under a cover there. */
  readonly covered: readonly Cover[];
  readonly shown: readonly RoomPart[];
}

/** The room before anything was lifted or chosen: all is covered, and the papers stand alone. */
export const FRESH_ROOM: Room = { covered: COVERS, shown: ['papers'] };
