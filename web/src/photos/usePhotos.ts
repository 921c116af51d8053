import { $gettext } from "../language/language";
import { shallowReactive, shallowRef, watch, type Ref } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { lastOnly } from "../api/lastOnly";
import { sentence } from "../api/problems";
import { notice } from "../frame/notice";

export type Photo = Schemas["Photo"];

export type Mark = Schemas["PhotoMark"];

/** Whether it is a PDF, of which a page is seen. */
export function isPaper(photo: Photo): boolean {
  return photo.mediaType === "application/pdf";
}

/** Photos that were drawn on since they were fetched, wherever they are shown. */
const drawn = shallowReactive(new Map<string, Photo>());

export function asDrawn(photo: Photo): Photo {
  const later = drawn.get(photo.id);
  return later && later.marksVersion > photo.marksVersion ? later : photo;
}

/** Draws arrows and circles over a photo, in place of those before. */
export async function draw(photo: Photo, marks: Mark[]) {
  const version = asDrawn(photo).marksVersion;
  const now = await api.put(at("/api/photos/{id}/marks", { path: { id: photo.id } }), { marks, version });
  drawn.set(photo.id, now);
}

/** What a photo hangs on. */
export interface Hook {
  point?: string;
  component?: string;
  correction?: string;
}

const MOST_BYTES = 12 * 1024 * 1024;

/** The photos of one installation. */
export function usePhotos(id: Ref<string>) {
  const photos = shallowRef<Photo[]>([]);
  const last = lastOnly();

  async function load() {
    if (!id.value) {
      return;
    }
    try {
      photos.value = await last(api.get(at("/api/installations/{id}/photos", { path: { id: id.value } })));
    } catch (thrown) {
      notice.problem(sentence(thrown));
    }
  }

  /** Hangs pictures, one after another; those refused are named and the others stay. */
  async function hang(hook: Hook, files: Iterable<File>) {
    for (const file of files) {
      if (file.size > MOST_BYTES) {
        notice.problem($gettext("%{name} is larger than 12 MB. Nothing was saved.", { name: file.name }));
        continue;
      }
      try {
        const photo = await api.file(
          at("/api/installations/{id}/photos", { path: { id: id.value }, query: { ...hook } }),
          file,
        );
        photos.value = [...photos.value, photo];
      } catch (thrown) {
        notice.problem(`${file.name}: ${sentence(thrown)}`);
      }
    }
  }

  function of(hook: Hook): Photo[] {
    return photos.value.filter(
      (p) => p.point === hook.point && p.component === hook.component && p.correction === hook.correction,
    );
  }

  watch(id, load, { immediate: true });
  return { photos, hang, of, load };
}
