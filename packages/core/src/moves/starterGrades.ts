/**
 * Stand-ins for a gym's adult grades in the starter book, lowest first: how far along somebody is who trains a move. A gym
 * gets the book with its own grades in their places.
 */
export const STARTER_GRADES = ['starter-1', 'starter-2', 'starter-3', 'starter-4'] as const;
