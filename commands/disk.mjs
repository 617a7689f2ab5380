/** Room on the disk, asked for before long work begins: a disk that fills up in the middle leaves things half done. */
import { statfsSync } from "node:fs";
import { Trouble } from "./trouble.mjs";

const MEGABYTE = 1024 * 1024;

/** @throws Trouble when the disk that holds the folder has less left */
export function requireRoom(folder, megabytes) {
  const { bavail, bsize } = statfsSync(folder);
  if (bavail * bsize < megabytes * MEGABYTE)
    throw new Trouble(
      `The disk that holds ${folder} has less than ${megabytes} MB left. Free some space and start again.`,
    );
}

export const isFull = (error) => error?.code === "ENOSPC" || error?.code === "EDQUOT";
export const FULL = "The disk is full. Free some space and start again.";
