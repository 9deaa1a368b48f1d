import { Injectable, inject, signal } from '@angular/core';
import { Notices } from '../state/notices';
import { saveFile } from '../state/save-file';

/** Saves what is on a page as a PDF, and says so where that cannot be. */
@Injectable({ providedIn: 'root' })
export class PdfSaver {
  private readonly notices = inject(Notices);
  readonly writing = signal(false);

  /**
   * @param content what is to be written: looked through for letters that the PDF has none for
   * @param write from a package of its own, which is large and comes when it is asked for
   */
  async save(name: string, content: unknown, write: () => Promise<Blob>): Promise<void> {
    this.writing.set(true);
    try {
      const { missingLetters } = await import('./pdf-document');
      const missing = missingLetters(content);
      if (missing.length > 0) {
        this.notices.say({
          text: `The PDF has no letters for “${missing.slice(0, 6).join('')}” and would leave them out. Print the page instead, and choose “save as PDF” there: it has them.`,
          action: { name: 'Print', run: () => window.print() },
        });
        return;
      }
      saveFile(name, 'application/pdf', await write());
    } catch (error) {
      console.error(error);
      this.notices.say({
        text: 'The PDF could not be written. Nothing is lost: print the page instead, and choose “save as PDF” there.',
      });
    } finally {
      this.writing.set(false);
    }
  }
}
