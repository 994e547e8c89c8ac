"""What keys and menus do to hand kits, patterns and the song's tempo to other programs."""

from collections.abc import Callable
from pathlib import Path

from chronotome.files.audio_out import Encoding
from chronotome.files.kit_out import write_sfz, write_slice_files
from chronotome.files.midi_out import write_pattern_midi, write_tempo_midi
from chronotome.files.tempo_out import write_tempo_json
from chronotome.session.edits.kits import kit_of, slices_for_keys
from chronotome.session.kits import Kit
from chronotome.ui.commands.patterns import PatternCommands
from chronotome.ui.state.figures import counted
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

MIDI = tr("MIDI (*.mid)")


class HandCommands:
    """One method for each thing that can be handed over."""

    def __init__(self, desk: UiContext, patterns: PatternCommands) -> None:
        self._desk, self._patterns = desk, patterns

    def ask_kit(self) -> None:
        """The kit at hand as SFZ, in a folder of its own."""
        kit = self._patterns.kit
        if kit is None:
            self._desk.say(tr("No kit yet. Create one from the hits of a clip with Ctrl+U."))
            return
        self._ask(tr("New folder for the kit"), tr("{0} kit", kit.name), tr("Folder"), self.write_kit)

    def write_kit(self, folder: Path) -> None:
        kit, session, recordings = self._patterns.kit, self._desk.session, self._desk.recordings
        if kit is None:
            return
        sources, arena = recordings.pool.ready(), recordings.arena
        self._desk.tasks.run(
            tr("Writing {0}", folder.name),
            lambda progress: write_sfz(folder, session, kit, sources, arena, progress=progress),
            lambda path: self._desk.say(tr("{0} as “{1}”", counted(len(kit.slices), "slice"), path)),
        )

    def _kits(self) -> list[tuple[str, Kit]]:
        """What slices can be written of: the hits of the clip, or the chosen ones, and the kit at hand."""
        view, session, found = self._desk.view, self._desk.session, list[tuple[str, Kit]]()
        place, clip = view.chosen.place, view.chosen.clip
        if place is not None and clip is not None and clip.take.playing is None:
            track = session.track(place[0])
            chosen = view.chosen.hits if clip.take.slices is not None else ()
            pieces = slices_for_keys(session, place, chosen)
            if pieces:
                hits = counted(len(pieces), "hit")
                words = (
                    tr("the selected {0} of the clip", hits) if chosen else tr("the {0} of the clip", hits)
                )
                found.append((words, kit_of(clip.name or track.name, pieces)))
        kit = self._patterns.kit
        if kit is not None:
            found.append((tr("the kit {0}: {1}", kit.name, counted(len(kit.slices), "slice")), kit))
        return found

    def ask_slices(self) -> None:
        """Slices as sound files, named by a template."""
        kits = self._kits()
        if not kits:
            self._desk.say(tr("No hits to export. Detect onsets, or create a kit."))
            return
        said = self._desk.ask.slice_files(self._desk, kits)
        if said is not None:
            kit, encoding, template = said
            self._ask(
                tr("New folder for the slices"),
                tr("{0} slices", kit.name),
                tr("Folder"),
                lambda folder: self.write_slices(folder, kit, encoding, template),
            )

    def write_slices(self, folder: Path, kit: Kit, encoding: Encoding, template: str) -> None:
        session, recordings = self._desk.session, self._desk.recordings
        sources, arena = recordings.pool.ready(), recordings.arena
        self._desk.tasks.run(
            tr("Writing {0}", folder.name),
            lambda progress: write_slice_files(
                folder, session, kit, sources, arena, encoding, template, progress
            ),
            lambda count: self._desk.say(tr("Exported {0} to “{1}”", counted(count, "slice"), folder)),
        )

    def ask_pattern(self) -> None:
        """What the clip's pattern plays as MIDI."""
        pattern = self._patterns.pattern
        if pattern is None:
            self._desk.say(tr("The clip plays no pattern. Convert it with Ctrl+P."))
            return
        self._ask(tr("Export pattern as MIDI"), f"{pattern.name}.mid", MIDI, self.write_pattern)

    def write_pattern(self, path: Path) -> None:
        clip, session = self._desk.view.chosen.clip, self._desk.session
        if clip is None:
            return
        path, take = path.with_suffix(".mid"), clip.take
        self._desk.tasks.run(
            tr("Writing {0}", path.name),
            lambda _progress: write_pattern_midi(path, session, take),
            lambda count: self._desk.say(tr("Exported {0} to “{1}”", counted(count, "note"), path)),
        )

    def ask_tempo(self) -> None:
        """The song's tempo, metre and sections as MIDI, or as JSON."""
        usual = tr("{0} tempo.mid", self._desk.document.title)
        self._ask(tr("Export tempo map"), usual, tr("{0};;JSON (*.json)", MIDI), self.write_tempo)

    def write_tempo(self, path: Path) -> None:
        session, is_json = self._desk.session, path.suffix.lower() == ".json"
        path = path if is_json else path.with_suffix(".mid")
        write = write_tempo_json if is_json else write_tempo_midi
        self._desk.tasks.run(
            tr("Writing {0}", path.name),
            lambda _progress: write(path, session),
            lambda _done: self._desk.say(tr("Exported tempo map to “{0}”", path)),
        )

    def _ask(self, title: str, usual: str, kinds: str, write: Callable[[Path], None]) -> None:
        folder = self._desk.document.folder or Path.home()
        said = self._desk.ask.new_file(title, str(folder / usual), kinds)
        if said is not None:
            write(said)
