"""A tour through a take: two bars around each of a few spots, with the click: all of it is heard soon."""

import numpy as np
from PySide6.QtCore import QObject

from chronotome.session.anchors import extent_of
from chronotome.session.edits.timing import set_click
from chronotome.session.fit_checks import fit_checks_of
from chronotome.session.model import Session, replace
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

BARS = 2
WHOLE_SECONDS = 30.0
FEWEST, MOST = 3, 10
Spot = tuple[float, float]
"""Session frames from where to where it is played."""


def spots_of(session: Session, doubtful: list[float]) -> list[Spot]:
    """Spots of two bars from the take's beginning to its end, at bar lines; doubtful places come in as well.

    Parameters
    ----------
    session : Session
    doubtful : list of float
        Session frames that are worth a spot.
    """
    tempo, metre, rate = session.tempo, session.metre, session.rate
    last = np.floor(metre.bar_at(tempo.beat_of(extent_of(session) / rate)))
    first = np.ceil(metre.bar_at(tempo.beat_of(0.0)) - 1e-6)
    starts = max(0.0, last - first - BARS + 1)
    length = tempo.seconds_of(metre.beat_of(first + BARS)) - tempo.seconds_of(metre.beat_of(first))
    count = int(np.clip(round(WHOLE_SECONDS / max(0.1, length)), FEWEST, MOST))
    bars = first + np.unique(np.round(np.linspace(0, starts, count)))
    around = [np.floor(metre.bar_at(tempo.beat_of(frame / rate)) - 0.5) for frame in doubtful]
    chosen = sorted({float(max(first, each)) for each in (*bars, *around)})
    return [
        (
            max(0.0, tempo.seconds_of(metre.beat_of(each)) * rate),
            tempo.seconds_of(metre.beat_of(each + BARS)) * rate,
        )
        for each in chosen
    ]


class Tour(QObject):
    """Plays the spots one after the other; stopping, or going elsewhere by hand, ends it."""

    def __init__(self, desk: UiContext, parent: QObject) -> None:
        super().__init__(parent)
        self._desk = desk
        self._spots: list[Spot] = []
        self._at = 0
        self._had_click = True
        self._leads = False
        desk.transport.moved.connect(self._on_moved)
        desk.transport.playing_changed.connect(self._on_playing)

    @property
    def is_running(self) -> bool:
        return bool(self._spots)

    def toggle(self) -> None:
        if self.is_running:
            self._desk.transport.stop()
        else:
            self.start()

    def start(self) -> None:
        session, track = self._desk.session, self._desk.view.chosen.focused
        if track is None:
            return
        doubtful = []
        guide = session.track(session.guide_of(track.id))
        take = guide.first_take
        for check in fit_checks_of(session, track):
            if take is None:
                break
            recording = session.recording_of(take)
            seconds = check.seconds - take.source_start / recording.rate
            doubtful.append(take.start + seconds * session.rate)
        self._spots, self._at = spots_of(session, doubtful), 0
        self._had_click = session.click.is_on
        self._set_click(is_on=True)
        self._go()
        self._desk.transport.play()

    def _set_click(self, *, is_on: bool) -> None:
        """Heard, but no step of undo: the tour is not a decision."""
        self._desk.store.amend(lambda session: set_click(session, replace(session.click, is_on=is_on)))

    def _go(self) -> None:
        self._leads = True
        self._desk.view.sight.center_on(self._spots[self._at][0])
        self._desk.transport.go_to(self._spots[self._at][0])
        self._leads = False
        self._desk.say(tr("Spot check: {0} of {1}. Space ends it.", self._at + 1, len(self._spots)))

    def _on_moved(self, frame: float) -> None:
        if not self.is_running or self._leads:
            return
        start, end = self._spots[self._at]
        if start - self._desk.session.rate < frame < end:
            return
        if frame > end + self._desk.session.rate or frame < start:
            self._end(tr("Spot check ended"))
            return
        self._at += 1
        if self._at < len(self._spots):
            self._go()
        else:
            self._desk.transport.stop()

    def _on_playing(self, is_playing: bool) -> None:  # noqa: FBT001 - a signal's value
        if not is_playing and self.is_running:
            self._end(tr("Spot check ended"))

    def _end(self, words: str) -> None:
        self._spots = []
        self._set_click(is_on=self._had_click)
        self._desk.say(words)
