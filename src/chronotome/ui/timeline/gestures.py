"""Gestures on hits: drafts while the mouse moves, one step of undo when it is let go."""

from collections.abc import Callable
from dataclasses import dataclass, field
from typing import Protocol

import numpy as np
from PySide6.QtCore import Qt
from PySide6.QtGui import QMouseEvent

from chronotome.bridge.store import Edit
from chronotome.session.edits.tightening import held, move_hits
from chronotome.session.grid import nearest_lines
from chronotome.session.lines import lines_within
from chronotome.session.model import ClipId, Session, TrackId
from chronotome.session.onsets import OnsetId
from chronotome.ui.state.shown import Shown
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

STILL = 3
"""Pixels that a hand moves without meaning it."""
NEAR_LINE_MILLISECONDS = 3.0
ON_LINE_PIXELS = 8


def is_free(event: QMouseEvent) -> bool:
    """Without snap: Shift, or Alt where it does not belong to the window manager."""
    return bool(event.modifiers() & (Qt.KeyboardModifier.ShiftModifier | Qt.KeyboardModifier.AltModifier))


def on_a_line(desk: UiContext, frame: float) -> float:
    """The session frame of the line of the shown grid that is nearest, where snap is on."""
    session, view = desk.session, desk.view
    if not view.is_snapping:
        return frame
    line = nearest_lines(np.array([session.beat_of(frame)]), view.grid, session.metre)
    return session.frame_of(float(line[0]))


class Drag(Protocol):
    """Something under way: kept when it is let go, gone without a trace at Escape."""

    def finish(self) -> None: ...

    def cancel(self) -> None: ...


@dataclass
class HitDrag:
    """A hit that is being dragged. `grip` is the distance of the pointer from it when it was taken."""

    desk: UiContext
    track: TrackId
    clip: ClipId
    onset: OnsetId
    line: float
    """Beat of the line that its drift is counted from."""
    grip: float
    room: tuple[float, float]
    """Session frames between its neighbours: it stops there."""
    axis: int | None = None
    """Of a reversed clip: where the hand is is the mirror of where the hit lands."""
    has_moved: bool = False
    others: dict[OnsetId, float] = field(default_factory=dict)
    """Hits that are moved with it: by how many frames each lies behind it."""
    holding: dict[OnsetId, float] = field(default_factory=dict)
    """Hits that are held at their beats meanwhile."""
    bearable: tuple[float, float] = (-np.inf, np.inf)
    """Session frames beyond which sound is stretched more than it bears: a firm edge, unless free."""

    def to_drift(self, milliseconds: float, *, is_free: bool) -> None:
        """Let it land so far from its line; near the line, or at whole ms, unless free."""
        if not is_free:
            near = abs(milliseconds) < NEAR_LINE_MILLISECONDS
            milliseconds = 0.0 if near else float(round(milliseconds))
        tempo = self.desk.session.tempo
        self._draft(tempo.beat_of(tempo.seconds_of(self.line) + milliseconds / 1000), is_free=is_free)

    def to_beat(self, beat: float, *, is_free: bool) -> None:
        """Let it sound at a beat, pulled to a grid line that is near, unless free."""
        desk = self.desk
        if self.axis is not None:
            beat = desk.session.beat_of(self.axis - desk.session.frame_of(beat))
        if not is_free and desk.view.is_snapping:
            session, bar = desk.session, desk.session.metre.longest_bar
            lines = lines_within(beat - bar, beat + bar, desk.view.rulings, session.metre, session.tempo)
            line = float(lines.beats[np.abs(lines.beats - beat).argmin()])
            apart = abs(session.frame_of(line) - session.frame_of(beat))
            if apart <= ON_LINE_PIXELS * desk.view.sight.viewport.frames_per_pixel:
                beat = line
        self._draft(beat, is_free=is_free)

    def _draft(self, beat: float, *, is_free: bool) -> None:
        self.has_moved = True
        tempo, rate = self.desk.session.tempo, self.desk.session.rate
        frame = tempo.seconds_of(beat) * rate
        low, high = self.room
        if not is_free:
            low, high = max(low, self.bearable[0]), min(high, self.bearable[1])
        held = min(max(frame, low), high)
        beat = beat if held == frame else tempo.beat_of(held / rate)
        self.edit = self._edit_to(beat)
        self.desk.store.draft(self.edit)

    def _edit_to(self, beat: float) -> Edit:
        tempo, rate = self.desk.session.tempo, self.desk.session.rate
        frame = tempo.seconds_of(beat) * rate
        beats = {each: tempo.beat_of((frame + away) / rate) for each, away in self.others.items()}
        beats = {**self.holding, **beats, self.onset: beat}

        def edit(session: Session) -> Session:
            return move_hits(session, self.track, self.clip, beats)

        return edit

    def finish(self) -> None:
        if self.has_moved:
            words = tr("Move {0} hits", len(self.others) + 1) if self.others else tr("Move hit")
            self.desk.store.apply(self.edit, words)

    def cancel(self) -> None:
        self.desk.store.drop_draft()


def take_hit(desk: UiContext, shown: Shown, place: int, *, grip: float, holds: bool = False) -> HitDrag:
    """Begin to drag hit number `place` of a clip's targets, and the others that are chosen with it."""
    targets = shown.targets
    onset, picked = int(targets.onsets[place]), desk.view.chosen.onsets
    line = float(targets.line_beats[place])
    if onset not in picked or len(picked) < 2:
        desk.view.chosen.select(onset)
        room, bearable = (
            targets.room_of(place),
            targets.bearable(place, shown.track.moving_of(shown.take).borne),
        )
        is_holding = holds or desk.view.holds_neighbours
        holding = held(desk.session, targets, targets.beside(place)) if is_holding else {}
        places = desk, shown.track.id, shown.clip.id, onset, line, grip, room, shown.map.axis
        return HitDrag(*places, holding=holding, bearable=bearable)
    desk.view.chosen.pick(picked, onset)
    at = np.flatnonzero(np.isin(targets.onsets, picked))
    low, high = targets.shared_room(at)
    here = float(targets.target[place])
    away = dict(zip(targets.onsets[at].tolist(), (targets.target[at] - here).tolist(), strict=True))
    del away[onset]
    room = (here + low, here + high)
    places = desk, shown.track.id, shown.clip.id, onset, line, grip, room, shown.map.axis
    return HitDrag(*places, others=away)


@dataclass
class SweepDrag:
    """A span of the session that is being swept; a press that does not move is a click."""

    start: float
    sweep: Callable[[float, float], None]
    click: Callable[[], None]
    end: float | None = None

    def finish(self) -> None:
        if self.end is None:
            self.click()
        else:
            self.sweep(self.start, self.end)

    def cancel(self) -> None:
        """Nothing was changed yet."""


@dataclass
class ValueDrag:
    """A value that is being dragged: a draft at each move, kept when let go."""

    desk: UiContext
    edit_to: Callable[[Session, float], Session]
    label: str
    value: float | None = None
    words: Callable[[float], str] | None = None
    """What the lane says beside it."""
    is_sifting: bool = False
    """It only changes which onsets count."""

    def to(self, value: float) -> None:
        self.value = value
        self.desk.store.draft(lambda session: self.edit_to(session, value), is_sifting=self.is_sifting)

    def finish(self) -> None:
        value = self.value
        if value is not None:
            self.desk.store.apply(lambda session: self.edit_to(session, value), self.label)

    def cancel(self) -> None:
        self.desk.store.drop_draft()
