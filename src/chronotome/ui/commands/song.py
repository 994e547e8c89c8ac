"""What the actions on the song's tempo and metre do."""

import time
from collections.abc import Callable
from functools import partial
from pathlib import Path

from chronotome.files.tempo_in import read_tempo_map
from chronotome.session.edits import tempo as tempo_edits
from chronotome.session.edits.metre import (
    remove_metre_change,
    set_metre_from,
)
from chronotome.session.edits.tempo import SongMap
from chronotome.session.grid import FASTEST, SLOWEST
from chronotome.session.metre import Metre, position_words
from chronotome.session.model import Section, Session
from chronotome.session.tempo_points import points_of
from chronotome.ui.commands.taps import LONGEST_TAP_GAP, TAPS, more_taps_words, tap_words, tempo_of_taps
from chronotome.ui.state.figures import plain
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

NEAR_POINT = 1 / 16
"""Quarter notes from a point within which the playhead is at it."""


class SongCommands:
    """One method for each thing that a key, a menu or a lane can do with the song's tempo and metre."""

    def __init__(self, desk: UiContext) -> None:
        self._desk = desk
        self._taps: list[float] = []
        self._tapped: Session | None = None

    def _apply(self, edit: Callable[[Session], Session], label: str) -> None:
        self._desk.store.apply(edit, label)

    def _words_of(self, beat: float) -> str:
        return position_words(beat, self._desk.session.metre)

    @property
    def _beat(self) -> float:
        return self._desk.session.beat_of(self._desk.transport.position)

    # Tempo

    @property
    def _line_here(self) -> float:
        """The tempo point at the playhead, else the line of beats nearest to it: tempo changes there."""
        here, metre = self._beat, self._desk.session.metre
        near = [
            each.beat for each in points_of(self._desk.session.tempo) if abs(each.beat - here) < NEAR_POINT
        ]
        return near[0] if near else metre.beat_line(here)

    @property
    def has_tempo_change(self) -> bool:
        """Whether the song's tempo changes at the playhead or before it."""
        return any(each.beat <= self._line_here for each in points_of(self._desk.session.tempo)[1:])

    def _ask_bpm(self, title: str, words: str, now: float) -> float | None:
        return self._desk.ask.number(title, words, now, SLOWEST, FASTEST, 2)

    def ask_tempo(self, beat: float | None = None) -> None:
        """The song's tempo from a beat on, typed; from the playhead where none is said."""
        at = self._line_here if beat is None else beat
        where = self._words_of(at)
        now = self._desk.session.timebase.tempo_at(at)
        tempo = self._ask_bpm(tr("Set tempo here"), tr("Bpm from {0} on:", where), now)
        if tempo is not None:
            self._apply(lambda each: tempo_edits.set_tempo_from(each, at, tempo), tr("Tempo from {0}", where))

    def set_tempo_from(self, beat: float, bpm: float) -> None:
        self._apply(
            lambda each: tempo_edits.set_tempo_from(each, beat, bpm),
            tr("Tempo from {0}", self._words_of(beat)),
        )

    def ask_ramp(self) -> None:
        """From the tempo at the loop's start evenly to one at its end, typed."""
        session, loop = self._desk.session, self._desk.session.loop
        if loop is None:
            return
        timebase, start, end = session.timebase, self._words_of(loop.start), self._words_of(loop.end)
        words = tr("From {0} at {1}. Bpm at {2}:", plain(timebase.tempo_at(loop.start), 2), start, end)
        tempo = self._ask_bpm(tr("Ramp tempo"), words, timebase.tempo_at(loop.end))
        if tempo is not None:
            self._apply(
                lambda each: tempo_edits.ramp_tempo(each, loop.start, loop.end, tempo),
                tr("Ramp tempo to {0}", plain(tempo, 2)),
            )

    def toggle_ramp(self, number: int | None = None) -> None:
        """A point is reached evenly, or stepped to: the one at the playhead or before it if none is said."""
        points = points_of(self._desk.session.tempo)
        if number is None:
            number = max((at for at, each in enumerate(points) if each.beat <= self._line_here), default=0)
        if not 0 < number < len(points):
            return
        at, is_ramp = number, not points[number].is_ramp
        label = tr("Ramp to tempo point") if is_ramp else tr("Step to tempo point")
        self._apply(lambda each: tempo_edits.set_ramp(each, at, is_ramp), label)

    def remove_tempo(self) -> None:
        """The point at the playhead, or the last one before it."""
        beat = self._line_here
        self._apply(lambda each: tempo_edits.remove_tempo_change(each, beat), tr("Remove tempo change"))

    def scale(self, factor: float) -> None:
        words = tr("Double song tempo") if factor > 1 else tr("Halve song tempo")
        self._apply(lambda session: tempo_edits.scale_tempo(session, factor), words)

    def tap_over_loop(self) -> None:
        """The tempo of the looped span from the last taps; one run of them is one step of undo."""
        loop, now = self._desk.session.loop, time.monotonic()
        if loop is None:
            return
        if self._taps and now - self._taps[-1] > LONGEST_TAP_GAP:
            self._taps.clear()
            self._tapped = None
        self._taps = [*self._taps, now][-TAPS:]
        found = tempo_of_taps(self._taps)
        if found is None:
            self._desk.say(more_taps_words(self._taps))
            return
        tempo, store = round(found.tempo, 2), self._desk.store

        def edit(session: Session) -> Session:
            return tempo_edits.set_tempo_over(session, loop.start, loop.end, tempo)

        is_run = self._tapped is not None and store.history.session is self._tapped
        (store.apply_again if is_run else store.apply)(edit, tr("Tap tempo over loop"))
        self._tapped = store.history.session
        self._desk.say(tr("{0}: set over the loop", tap_words(found)))

    def ask_section_tempo(self, section: Section) -> None:
        now = self._desk.session.timebase.tempo_at(section.start)
        tempo = self._ask_bpm(tr("Set tempo"), tr("Bpm of {0}:", section.name), now)
        if tempo is not None:
            self._apply(
                lambda each: tempo_edits.set_tempo_over(each, section.start, section.end, tempo),
                tr("Tempo of {0}", section.name),
            )

    # Metre

    @property
    def has_metre_change(self) -> bool:
        """Whether the song's metre changes at the playhead or before it."""
        return self._desk.session.metre.stretch_at(self._beat) > 0

    def _bar_at(self, beat: float) -> int:
        metre = self._desk.session.metre
        return round(metre.bar_at(metre.bar_start(beat)))

    def ask_metre(self, beat: float | None = None) -> None:
        """Another metre from a bar on, or for some bars; from the playhead's bar where none is said."""
        bar, session = self._bar_at(self._beat if beat is None else beat), self._desk.session
        now = session.metre.metre_at(session.metre.beat_of(bar))
        said = self._desk.ask.metre(now, tr("Metre from bar {0} on:", bar + 1))
        if said is not None:
            self.set_metre_from(bar, *said)

    def set_metre_from(self, bar: int, metre: Metre, bars: int = 0) -> None:
        self._apply(
            lambda each: set_metre_from(each, bar, metre, bars=bars),
            tr("{0} from bar {1}", metre.words, bar + 1),
        )

    def remove_metre(self) -> None:
        beat = self._beat
        self._apply(lambda each: remove_metre_change(each, beat), tr("Remove metre change"))

    def ask_section_metre(self, section: Section) -> None:
        """The whole bars of a section in another metre; behind it the song goes on as it was."""
        session = self._desk.session
        now = session.metre.metre_at(section.start)
        words = tr("Metre of {0}:", section.name)
        said = self._desk.ask.metre(now, words, asks_bars=False)
        if said is not None:
            metre = said[0]
            bars = max(1, round((section.end - section.start) / metre.bar))
            self.set_metre_from(self._bar_at(section.start), metre, bars)

    # Of a file

    def ask_map(self) -> None:
        """Tempo and metre of another program's song."""
        folder = self._desk.document.folder or Path.home()
        kinds = tr("Tempo maps (*.mid *.midi *.json)")
        said = self._desk.ask.file(tr("Open tempo map"), str(folder), kinds)
        if said is not None:
            self.read_map(said)

    def read_map(self, path: Path) -> None:
        self._desk.tasks.run(
            tr("Opening {0}", path.name),
            lambda _progress: read_tempo_map(path),
            partial(self._take_map, path),
        )

    def _take_map(self, path: Path, told: SongMap) -> None:
        self._apply(lambda each: tempo_edits.take_song_map(each, told), tr("Open tempo map {0}", path.name))
        session = self._desk.session
        points, metres = len(points_of(session.tempo)), len(session.metre.metres)
        self._desk.say(tr("“{0}”: tempo points: {1}, metres: {2}", path.name, points, metres))
