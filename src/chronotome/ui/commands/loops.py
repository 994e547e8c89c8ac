"""What the actions on a loop from a song do: pull its ends, tell its tempo, write it as its own recording."""

from collections.abc import Callable
from dataclasses import dataclass
from pathlib import Path

import numpy as np

from chronotome.files.loop_file import write_span
from chronotome.progress import Progress
from chronotome.session.edits.timing import set_loop
from chronotome.session.edits.tracks import remove_track
from chronotome.session.model import TrackId
from chronotome.ui.state.figures import counted, plain
from chronotome.ui.state.shown import Shown, shown_of
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

PULL_SECONDS = 0.150
LIKELY = (70.0, 180.0)
USUAL_TEMPO = 110.0
BARS = (1, 2, 4, 8, 16, 32)


@dataclass(frozen=True)
class Implied:
    """What a span would be: so many bars at this tempo."""

    seconds: float
    bars: int
    beats_per_minute: float

    @property
    def words(self) -> str:
        bars = counted(self.bars, "bar")
        return tr("{0} s · {1} at {2} bpm", plain(self.seconds, 3), bars, plain(self.beats_per_minute, 2))


def implied_by(seconds: float, bar: float, near: float | None) -> Implied | None:
    """The likeliest number of bars in a span, nearest to a tempo that is known, or to a usual one."""
    if seconds <= 0:
        return None
    tempi = {bars: 60 * bars * bar / seconds for bars in BARS}
    wanted = near or USUAL_TEMPO
    bars = min(tempi, key=lambda each: abs(np.log2(tempi[each] / wanted)))
    return Implied(seconds, bars, tempi[bars])


class LoopCommands:
    def __init__(self, desk: UiContext) -> None:
        self._desk = desk
        self.fade_ms = 3.0
        self.drops_rest = False

    def _shown(self) -> Shown | None:
        track = self._desk.view.chosen.focused
        return None if track is None else shown_of(self._desk.session, track, self._desk.transport.side)

    def span(self) -> tuple[Shown, int, int] | None:
        """The looped span in frames of the focused recording; None where there is none."""
        session, shown = self._desk.session, self._shown()
        if shown is None or session.loop is None:
            return None
        frames = [
            shown.recording_frame(session.frame_of(beat)) for beat in (session.loop.start, session.loop.end)
        ]
        start, end = max(0, frames[0]), min(shown.recording.frames, frames[1])
        return (shown, start, end) if end > start else None

    def implied(self) -> Implied | None:
        """The tempo that the looped span implies."""
        found = self.span()
        if found is None:
            return None
        shown, start, end = found
        measured = shown.recording.measured
        near = measured.tempo if measured is not None else None
        return implied_by((end - start) / shown.recording.rate, self._desk.session.metre.first.bar, near)

    def pull_ends(self) -> None:
        """Pull both ends of the loop to the attacks of the nearest hits."""
        session, shown = self._desk.session, self._shown()
        if shown is None or session.loop is None:
            self._desk.say(tr("Drag over the ruler to set a rough loop first"))
            return
        hits, beats = shown.hits, []
        for beat in (session.loop.start, session.loop.end):
            frame = session.frame_of(beat)
            at = int(np.abs(hits - frame).argmin()) if len(hits) else -1
            is_near = at >= 0 and abs(float(hits[at]) - frame) <= PULL_SECONDS * session.rate
            beats.append(session.beat_of(float(hits[at])) if is_near else beat)
        self._desk.store.apply(lambda each: set_loop(each, beats[0], beats[1]), tr("Snap loop to attacks"))
        implied = self.implied()
        if implied is not None:
            self._desk.say(tr("Loop: {0}", implied.words))

    def ask_and_write(self) -> None:
        """Ask where to, and write the looped span as a recording of its own."""
        found, implied = self.span(), self.implied()
        if found is None or implied is None:
            self._desk.say(tr("Drag over the ruler to set a rough loop first"))
            return
        source = self._desk.recordings.places.get(found[0].recording.content)
        if source is None:
            return
        name = f"{source.stem} loop {implied.beats_per_minute:.2f}bpm.wav"
        said = self._desk.ask.new_file(
            tr("Loop as recording"),
            str(source.with_name(name)),
            tr("WAV (*.wav)"),
        )
        if said is not None:
            self.write(said.with_suffix(".wav"))

    def write(self, out: Path, then: Callable[[], None] | None = None) -> None:
        """Write the looped span and open it; the rest goes where that was asked for."""
        found = self.span()
        source = None if found is None else self._desk.recordings.places.get(found[0].recording.content)
        if found is None or source is None:
            return
        shown, start, end = found
        fade = round(self.fade_ms / 1000 * shown.recording.rate)
        old = shown.track.id

        def work(progress: Progress) -> Path:
            return write_span(source, out, (start, end), fade=fade, progress=progress)

        def show(path: Path) -> None:
            if self.drops_rest:
                self._drop(old)
            self._desk.document.open([path])
            if then is not None:
                then()

        self._desk.tasks.run(tr("Writing {0}", out.name), work, show)

    def _drop(self, track: TrackId) -> None:
        self._desk.store.apply(lambda session: remove_track(session, track), tr("Discard the rest"))
