import { libraryInUse, libraryOf, shelve, type Version } from "../techniques/library";
import { shelveTemplates, templateShelfOf, templatesInUse, type TemplateVersion } from "./template";

/** Everything a practice decided of the starting library: what a page or a worker has to be told before it plans. */
export type OwnLibrary = { techniques: readonly Version[]; templates: readonly TemplateVersion[] };

export const ownInUse = (): OwnLibrary => ({
  techniques: libraryInUse().versions,
  templates: templatesInUse().versions,
});

/** Puts a practice's library in use for good: in a page or a worker, which serve one practice. */
export function putInUse({ techniques, templates }: OwnLibrary): void {
  const [library, shelf] = [libraryOf(techniques), templateShelfOf(templates)];
  shelve(() => library);
  shelveTemplates(() => shelf);
}
