"""Marks brought in from files and written out, by dialog, drop or menu."""

from collections.abc import Callable
from pathlib import Path

from chronotome.files.mark import Mark
from chronotome.files.marks import FORMATS, marks_of, read_marks, write_marks
from chronotome.files.marks import SUFFIXES as MARK_SUFFIXES
from chronotome.progress import Progress
from chronotome.session.edits.marks import add_onsets
from chronotome.ui.commands.marks import MarkCommands
from chronotome.ui.state.figures import counted
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr


class MarkFiles:
    """For the focused track. Reading and writing run as tasks."""

    def __init__(self, desk: UiContext, marks: MarkCommands, tell: Callable[[str], None]) -> None:
        self._desk, self._marks, self._tell = desk, marks, tell

    def ask_and_bring(self) -> None:
        shown = self._marks.shown
        if shown is None:
            return
        endings = " ".join(f"*{suffix}" for suffix in MARK_SUFFIXES)
        name = self._desk.ask.file(tr("Import onsets"), str(Path.home()), tr("Onsets ({0})", endings))
        if name is not None:
            self.bring(name)

    def bring(self, path: Path) -> None:
        """Marks of a file become onsets that are kept by hand."""
        shown = self._marks.shown
        if shown is None:
            return
        recording = shown.recording

        def show(marks: list[Mark]) -> None:
            frames = [round(mark.seconds * recording.rate) for mark in marks]
            self._desk.store.apply(
                lambda session: add_onsets(session, recording.content, frames), tr("Import onsets")
            )
            self._tell(tr("{0} from “{1}”", counted(len(frames), "onset"), path.name))

        self._desk.tasks.run(
            tr("Reading {0}", path.name), lambda progress: read_marks(path, recording.rate, progress), show
        )

    def ask_and_write(self) -> None:
        shown = self._marks.shown
        if shown is None:
            return
        usual = Path.home() / tr("{0} onsets.txt", Path(shown.recording.file).stem)
        kinds = ";;".join(f"{each.words} (*{each.suffixes[0]})" for each in FORMATS)
        path = self._desk.ask.new_file(tr("Export onsets"), str(usual), kinds)
        if path is not None:
            self.write(path)

    def write(self, path: Path) -> None:
        """What counts of the focused track, as the ending says."""
        shown = self._marks.shown
        place = None if shown is None else self._desk.recordings.places.get(shown.recording.content)
        if shown is None or place is None:
            return
        marks, rate = marks_of(shown.recording, shown.counts), shown.recording.rate

        def work(_progress: Progress) -> None:
            write_marks(path, marks, place, rate)

        def show(_done: None) -> None:
            self._tell(tr("Exported {0} to “{1}”", counted(len(marks), "onset"), path))

        self._desk.tasks.run(tr("Writing {0}", path.name), work, show)
