import type { BlogSettings, EntryProperties } from '../../core/blog/index.ts';
import type { PostDocument } from '../../core/draft/index.ts';

/** Publishing could not be asked for, or said no; the message is a sentence. */
export class PublishingProblem extends Error {}

const AWAY = 'Posts cannot be sent: the server of Dune Sparrow is not running. Start it, and it goes on.';

/** Where posts are published, as the server is told. */
export type Way = { kind: 'stand-in' } | { kind: 'folder' } | { kind: 'micropub'; endpoint: string };

/** What a place can do where posts are published. */
export interface WayAccount {
  media: boolean;
  formatted: boolean;
  schedules: boolean;
  readable: boolean;
  categories: string[];
  syndicateTo: { uid: string; name: string }[];
}

/** A post on its way, as the server tells of it. */
export interface SendJob {
  id: string;
  siteId: string;
  postId: string;
  title: string;
  way: Way;
  action: 'publish' | 'withdraw' | 'restore';
  state: 'waiting' | 'sending' | 'done' | 'failed' | 'changed' | 'given-up';
  url: string;
  /** Where readers of a withdrawn post are led; empty: it is gone for good. */
  leadsTo: string;
  version: string | null;
  tries: number;
  /** UTC instant of the next try; empty: none. */
  next: string;
  /** UTC instant before which it is not sent. */
  due: string;
  problem: string;
  pictures: number;
  placed: number;
  isLater: boolean;
  /** The version of the post that was handed over. */
  revision: string;
  ordered: string;
  ended: string;
}

/** What a page hands over. */
export interface SendOrder
  extends Pick<
    SendJob,
    'siteId' | 'postId' | 'title' | 'way' | 'action' | 'url' | 'leadsTo' | 'due' | 'revision'
  > {
  known: string | null;
  /** It was taken from its readers, and is given back to them by being published. */
  withdrawn: boolean;
  properties: EntryProperties;
  /** All of the post, for a folder of files; null for the others. */
  document: PostDocument | null;
  pictures: { src: string; sha: string; name: string; type: string }[];
}

async function ask<Answer>(path: string, method = 'GET', body?: unknown): Promise<Answer> {
  let response: Response;
  try {
    response = await fetch(`/host/${path}`, {
      method,
      cache: 'no-store',
      ...(body === undefined
        ? {}
        : body instanceof Blob
          ? { body, headers: { 'content-type': 'application/octet-stream' } }
          : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
    });
  } catch {
    throw new PublishingProblem(AWAY);
  }
  const answer: unknown = await response.json().catch(() => null);
  if (response.ok && answer !== null) return answer as Answer;
  const said = (answer as { problem?: unknown } | null)?.problem;
  throw new PublishingProblem(typeof said === 'string' ? said : AWAY);
}

/** The blog beside the application; null where none stands. */
export const standIn = async (): Promise<{ address: string; settings: BlogSettings } | null> =>
  (await waysOut()).standIn;

/** What stands ready to be published to on this machine. */
export const waysOut = (): Promise<{
  standIn: { address: string; settings: BlogSettings } | null;
  /** The folder of posts that is open; null: none is. */
  folder: string | null;
}> => ask('ways');

/** The folder of posts as one file, with its pictures; null where none is open. */
export async function folderAsZip(): Promise<File | null> {
  const response = await fetch('/host/folder.zip', { cache: 'no-store' });
  return response.ok ? new File([await response.blob()], 'folder.zip', { type: 'application/zip' }) : null;
}

/** Gives the server the files that are not there yet. */
async function handOver(
  pictures: SendOrder['pictures'],
  fileOf: (sha: string) => Promise<Blob | null>,
): Promise<void> {
  for (const { sha, name } of pictures) {
    if ((await ask<{ isHere: boolean }>(`pictures/${sha}`)).isHere) continue;
    const file = await fileOf(sha);
    if (!file) throw new PublishingProblem(`The picture ${name} is not in this browser any more.`);
    await ask(`pictures/${sha}`, 'PUT', file);
  }
}

/** Sets how the blog beside looks and is ordered; `pictures` are those of its categories. */
export async function setBlogSettings(
  settings: BlogSettings,
  pictures: SendOrder['pictures'] = [],
  fileOf: (sha: string) => Promise<Blob | null> = async () => null,
): Promise<BlogSettings> {
  await handOver(pictures, fileOf);
  return (await ask<{ settings: BlogSettings }>('settings', 'PUT', { ...settings, pictures })).settings;
}

/** Gives the server the token of an endpoint; an empty one takes it away. It is never told again. */
export const setToken = async (endpoint: string, token: string): Promise<void> => {
  await ask('token', 'PUT', { endpoint, token });
};

/** Asks a place whether it can be published to, and what it can do. */
export const tryWay = (way: Way): Promise<WayAccount> => ask('try', 'POST', { way });

/** What stands at an address there now. */
export const postThere = (
  way: Way,
  url: string,
): Promise<{ properties: EntryProperties; version: string | null }> => ask('read', 'POST', { way, url });

/** A page as its readers get it. */
export const pageThere = (way: Way, url: string): Promise<{ address: string; html: string }> =>
  ask('page', 'POST', { way, url });

/** What is on its way, and how often the folder of posts was changed; null: none is open. */
export const sendJobs = (): Promise<{ jobs: SendJob[]; folderChanges: number | null }> => ask('jobs');

/** Hands a post over with the files of its pictures that are not there yet. From then on it is the server's to send. */
export async function orderSending(
  order: SendOrder,
  fileOf: (sha: string) => Promise<Blob | null>,
): Promise<SendJob> {
  await handOver(order.pictures, fileOf);
  return ask('jobs', 'POST', order);
}

/** Tries again at once; with `known` null, over whatever stands there now. */
export const tryAgain = (id: string, known?: null): Promise<SendJob> =>
  ask(`jobs/${id}/again`, 'POST', known === undefined ? {} : { known });

export const giveUp = (id: string): Promise<SendJob> => ask(`jobs/${id}`, 'DELETE');
