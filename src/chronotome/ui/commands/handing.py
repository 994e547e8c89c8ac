"""What keys and menus do to hand kits, patterns and the song's tempo to other programs."""

from collections.abc import Callable
from pathlib import Path

from PySide6.QtWidgets import QApplication, QFileDialog

from chronotome.files.kit_out import write_sfz
from chronotome.files.midi_out import write_pattern_midi, write_tempo_midi
from chronotome.ui.commands.patterns import PatternCommands
from chronotome.ui.controls.figures import counted
from chronotome.ui.desk import Desk

MIDI = "MIDI (*.mid)"


class HandCommands:
    """One method for each thing that can be handed over."""

    def __init__(self, desk: Desk, patterns: PatternCommands) -> None:
        self._desk, self._patterns = desk, patterns

    def ask_kit(self) -> None:
        """The kit at hand as SFZ, in a folder of its own."""
        kit = self._patterns.kit
        if kit is None:
            self._desk.say("There is no kit: Ctrl+U puts the hits of a clip on keys")
            return
        self._ask("A new folder for the kit", f"{kit.name} kit", "Folder", self.write_kit)

    def write_kit(self, folder: Path) -> None:
        kit, session, recordings = self._patterns.kit, self._desk.session, self._desk.recordings
        if kit is None:
            return
        sources, arena = recordings.pool.ready(), recordings.arena
        self._desk.tasks.run(
            f"Writing {folder.name}",
            lambda progress: write_sfz(folder, session, kit, sources, arena, progress=progress),
            lambda path: self._desk.say(f"{counted(len(kit.slices), 'slice')} as “{path}”"),
        )

    def ask_pattern(self) -> None:
        """What the clip's pattern plays as MIDI."""
        pattern = self._patterns.pattern
        if pattern is None:
            self._desk.say("The clip plays no pattern: Ctrl+P makes one of it")
            return
        self._ask("The pattern as MIDI", f"{pattern.name}.mid", MIDI, self.write_pattern)

    def write_pattern(self, path: Path) -> None:
        clip, session = self._desk.view.clip, self._desk.session
        if clip is None:
            return
        path, take = path.with_suffix(".mid"), clip.take
        self._desk.tasks.run(
            f"Writing {path.name}",
            lambda _progress: write_pattern_midi(path, session, take),
            lambda count: self._desk.say(f"{counted(count, 'note')} written to “{path}”"),
        )

    def ask_tempo(self) -> None:
        """The song's tempo, metre and sections as MIDI."""
        self._ask("The tempo map as MIDI", f"{self._desk.document.title} tempo.mid", MIDI, self.write_tempo)

    def write_tempo(self, path: Path) -> None:
        path, session = path.with_suffix(".mid"), self._desk.session
        self._desk.tasks.run(
            f"Writing {path.name}",
            lambda _progress: write_tempo_midi(path, session),
            lambda _done: self._desk.say(f"The tempo map is written to “{path}”"),
        )

    def _ask(self, title: str, usual: str, kinds: str, write: Callable[[Path], None]) -> None:
        folder = self._desk.document.folder or Path.home()
        said, _ = QFileDialog.getSaveFileName(QApplication.activeWindow(), title, str(folder / usual), kinds)
        if said:
            write(Path(said))
