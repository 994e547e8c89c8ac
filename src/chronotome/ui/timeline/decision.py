"""One decision that the person has to make, as one sentence with its keys, where they look."""

from collections.abc import Callable
from dataclasses import dataclass

from PySide6.QtCore import QRectF, Qt, Signal
from PySide6.QtGui import QKeyEvent, QPainter, QPaintEvent, QResizeEvent
from PySide6.QtWidgets import QHBoxLayout, QPushButton, QWidget

from chronotome.files.names import shown
from chronotome.session.edits.fitting import (
    TempoSync,
    bars_in,
    following_of,
    guide_take,
    set_following,
    straighten,
    tempo_of,
    use_measured,
)
from chronotome.session.edits.recordings import set_rate
from chronotome.session.edits.tempo import keep_tempo
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.fit import BeatMap, Measured
from chronotome.session.follow import beats_of
from chronotome.session.model import Session, Take, Track
from chronotome.ui.controls.debounce import Debounce
from chronotome.ui.controls.plain_text import Label, tip
from chronotome.ui.state.figures import counted, grid_words, plain, tempo_words
from chronotome.ui.state.guarded import guarded
from chronotome.ui.state.theme import colour
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage
from chronotome.ui.timeline.lane import HEADER
from chronotome.words import tr

HEIGHT, NARROW = 44, 760
WHOLE_BAR = 0.02
SURE = 0.6
"""Confidence from which on a tempo is told without a reserve."""
SAME_TEMPO = 0.005
SAME_LINES = (0.5, 1.0, 2.0)
"""Times the song's tempo: what is heard as twice as fast has its hits on the same lines."""
DRIFTING_MS = 15.0


@dataclass(frozen=True)
class Decision:
    """A sentence, and what each answer does. `about` tells it from others, so that it is asked once."""

    about: str
    sentence: str
    yes: str
    no: str
    accept: Callable[[], None]
    decline: Callable[[], None]


@dataclass(frozen=True, eq=False)
class _Subject:
    """What the decisions are about: the focused track's guide, its clip, its beats."""

    desk: UiContext
    track: Track
    take: Take
    measured: Measured
    beats: BeatMap

    @property
    def session(self) -> Session:
        return self.desk.session

    @property
    def tempo(self) -> float:
        return tempo_of(self.session, self.take, self.beats)

    @property
    def words(self) -> str:
        """Name, tempo and bars, with a reserve where they are not sure."""
        bars = bars_in(self.session, self.take)
        near = round(bars)
        length = f", {counted(near, 'bar')}" if near and abs(bars - near) < WHOLE_BAR else ""
        is_sure = self.measured.confidence >= SURE
        unsure = "" if is_sure else tr(", {0:.0f} % sure", 100 * self.measured.confidence)
        return tr("{0}: {1} bpm{2}{3}", self.track.name, plain(self.tempo, 2), length, unsure)

    @property
    def is_drifting(self) -> bool:
        return not self.measured.is_constant and self.beats.residual > DRIFTING_MS

    @property
    def disagrees(self) -> bool:
        """Nobody follows, and the song has another tempo, or the take drifts."""
        if self.track.own_tempo is not None:  # that was asked, and it stays as it is
            return False
        if following_of(self.session, self.track.id) is not TempoSync.NOBODY:
            return False
        if self.is_drifting or self._has_other_tempi:
            return True
        ratio = self.tempo / self.session.tempo.at(self.session.beat_of(self.take.start))
        return min(abs(ratio / each - 1) for each in SAME_LINES) > SAME_TEMPO

    @property
    def _has_other_tempi(self) -> bool:
        """Whether the song's tempo changes while the take is heard."""
        session, (start, end) = self.session, self.session.source_at_session_rate(self.take)
        first, last = (session.beat_of(self.take.start + frame) for frame in (0, end - start))
        return any(first < each.beat < last for each in session.tempo.changes[1:])


def _take_of(desk: UiContext) -> _Subject | None:
    track = desk.view.chosen.focused
    found = None if track is None else guide_take(desk.session, track.id)
    if found is None:
        return None
    guide, laid = found
    measured, beats = desk.session.recording_of(laid).measured, beats_of(desk.session, laid)
    return None if measured is None or beats is None else _Subject(desk, guide, laid, measured, beats)


def _reading_again(desk: UiContext) -> Decision | None:
    """A recording that is not there since somebody cancelled its reading."""
    recordings = desk.recordings
    content = next((each for each in recordings.stopped if desk.session.has(each)), None)
    if content is None:
        return None
    about = f"read {content}"
    return Decision(
        about,
        tr(
            "Reading {0} was cancelled. It is silent until it is read.",
            shown(recordings.stopped[content].name),
        ),
        tr("Read again"),
        tr("Not now"),
        lambda: recordings.read_again(content),
        lambda: desk.view.decline(about),
    )


def decision_now(desk: UiContext) -> Decision | None:
    """What is to be decided about the focused track in this stage, if anything still is."""
    take, decision = _take_of(desk), _reading_again(desk)
    if decision is not None and decision.about not in desk.view.declined:
        return decision
    decision = _own_tempi(desk)
    if decision is not None and decision.about not in desk.view.declined:
        return decision
    if take is None:
        return None
    decision = _higher_rate(desk)
    if not desk.session.is_tempo_set:
        decision = _first_tempo(take)
    elif take.disagrees and desk.view.stage is Stage.FIT:
        decision = _straightening(take)
    elif take.disagrees and desk.view.stage is Stage.TIGHTEN:
        decision = _disagreement(take)
    elif desk.view.stage is Stage.TIGHTEN and not any(map(_is_tightened, desk.session.tracks)):
        decision = _first_tightening(take)
    return None if decision is None or decision.about in desk.view.declined else decision


def _own_tempi(desk: UiContext) -> Decision | None:
    """Recordings whose lines stayed when the song's tempo was changed: one question for all."""
    session = desk.session
    tracks = [each for each in session.tracks if each.own_tempo is not None]
    ids = [each.id for each in tracks]
    if not tracks:
        return None
    tempi = {tempo_words(each.own_tempo) for each in tracks if each.own_tempo is not None}
    song = tempo_words(session.tempo)
    who = tracks[0].name if len(tracks) == 1 else counted(len(tracks), "recording")
    played = tempi.pop() if len(tempi) == 1 else tr("other tempi")
    about = f"own tempi {ids} {song}"

    def follow(each: Session) -> Session:
        for track in ids:
            each = set_following(each, track, TempoSync.RECORDING)
        return each

    def decline() -> None:
        desk.view.decline(about)

    return Decision(
        about,
        tr("{0}: tightened at {1}, but the song is at {2}. Follow the song?", who, played, song),
        tr("Follow song"),
        tr("Keep positions"),
        lambda: desk.store.apply(follow, tr("Recordings follow song")),
        decline,
    )


def _higher_rate(desk: UiContext) -> Decision | None:
    """A recording holds more than the session's rate lets through."""
    session = desk.session
    highest = max(session.recordings, key=lambda each: each.rate)
    if highest.rate <= session.rate:
        return None
    rate, heard, about = highest.rate, session.rate, f"rate {highest.rate}"
    return Decision(
        about,
        tr("{0} has {1:g} kHz, the session {2:g} kHz.", shown(highest.file), rate / 1000, heard / 1000),
        tr("Session at {0:g} kHz", rate / 1000),
        tr("Keep {0:g} kHz", heard / 1000),
        lambda: desk.store.apply(lambda each: set_rate(each, rate), tr("Session at {0:g} kHz", rate / 1000)),
        lambda: desk.view.decline(about),
    )


def _first_tempo(take: _Subject) -> Decision:
    """Whether the song takes the tempo of its first recording: asked while nobody has chosen a tempo."""
    desk, track = take.desk, take.track.id

    def accept() -> None:
        desk.store.apply(lambda each: use_measured(each, track), tr("Song takes recording tempo"))

    def decline() -> None:
        desk.store.apply(keep_tempo, tr("Keep song tempo"))

    song = tempo_words(take.session.tempo)
    yes, no = tr("Use for song"), tr("Keep song at {0}", song)
    return Decision(tr("first {0}", track), f"{take.words}.", yes, no, accept, decline)


def _is_tightened(track: Track) -> bool:
    own = (take.tighten is not None or take.touches for take in track.takes)
    return track.tighten.strength > 0 or bool(track.spans) or any(own)


def _first_tightening(take: _Subject) -> Decision:
    """At its first value Strength moves nothing: asked while nothing of the session is tightened."""
    desk, track, about = take.desk, take.track.id, "first tightening"
    lines = grid_words(take.track.tighten.grid)
    return Decision(
        about,
        tr("{0} is not tightened yet. Tighten it to {1}?", take.track.name, lines),
        tr("Tighten"),
        tr("Not now"),
        lambda: desk.store.apply(lambda each: set_tighten(each, track, strength=1.0), tr("Tighten")),
        _declining(take, about),
    )


def _declining(take: _Subject, about: str) -> Callable[[], None]:
    def decline() -> None:
        take.desk.view.decline(about)

    return decline


def _straighten(take: _Subject) -> Callable[[], None]:
    desk, track = take.desk, take.track.id

    def accept() -> None:
        desk.store.apply(lambda each: straighten(each, track), tr("Straighten tempo"))

    return accept


def _straightening(take: _Subject) -> Decision:
    about = tr("straighten {0}", take.track.id)
    kind = tr(", drifting") if take.is_drifting else ""
    sentence = tr("{0}{1}. The song is at {2}.", take.words, kind, tempo_words(take.session.tempo))
    yes = tr("Straighten to song tempo") if take.is_drifting else tr("Follow song")
    return Decision(about, sentence, yes, tr("Keep as played"), _straighten(take), _declining(take, about))


def _disagreement(take: _Subject) -> Decision:
    """Hits are pulled to lines that are not theirs: said before anybody wonders."""
    about = tr("tighten {0}", take.track.id)
    song = tempo_words(take.session.tempo)
    kind = tr("drifts") if take.is_drifting else tr("is at {0}", plain(take.tempo, 2))
    sentence = tr("{0} {1}, the song is at {2}: off the grid.", take.track.name, kind, song)
    return Decision(
        about,
        sentence,
        tr("Follow song"),
        tr("Keep as played"),
        _straighten(take),
        _declining(take, about),
    )


class DecisionBar(QWidget):
    """An ochre sentence above the wave; Enter and Escape answer it. With nothing to decide it is gone."""

    asked = Signal()
    """Something else is asked, or nothing any more."""

    def __init__(self, desk: UiContext) -> None:
        super().__init__()
        self._desk = desk
        self.decision: Decision | None = None
        self._left = HEADER
        self.setFixedHeight(HEIGHT)
        row = QHBoxLayout(self)
        row.setContentsMargins(HEADER + 24, 4, 20, 4)
        self._row = row
        row.setSpacing(10)
        self.words = Label()
        self.words.setObjectName("heading")
        self.yes, self.no = QPushButton(), QPushButton()
        self.words.setWordWrap(True)
        row.addWidget(self.words, 1)
        for button in (self.yes, self.no):
            row.addWidget(button)
        for button, is_yes in ((self.yes, True), (self.no, False)):
            button.setObjectName("answer")
            button.setFocusPolicy(Qt.FocusPolicy.TabFocus)
            button.clicked.connect(lambda _checked=False, is_yes=is_yes: self.answer(is_yes=is_yes))
        self._soon = Debounce(self.look, self)
        told = (desk.recordings.source_grew, desk.tasks.changed)
        for signal in (desk.store.changed, desk.view.chosen.focus_changed, desk.view.stage_changed, *told):
            signal.connect(self._soon.ask)
        desk.view.declined_changed.connect(self.look)
        desk.view.theme_changed.connect(self.update)
        self.look()

    def look(self) -> None:
        """See whether there is something to decide."""
        before, self.decision = self.about, decision_now(self._desk)
        self.setVisible(self.decision is not None)
        if self.about != before:
            self.asked.emit()
        if self.decision is not None:
            self.words.setText(self.decision.sentence)
            self.yes.setText(tr("{0}   Enter", self.decision.yes))
            self.no.setText(tr("{0}   Esc", self.decision.no))
            self.setAccessibleName(self.decision.sentence)
            for widget in (self, self.words):
                widget.setToolTip(tip(self.decision.sentence))
            self._row.activate()

    def resizeEvent(self, event: QResizeEvent) -> None:
        """A narrow window gives it the room beneath the headers too."""
        super().resizeEvent(event)
        self._left = 0 if self.width() < NARROW else HEADER
        self._row.setContentsMargins(self._left + 24, 4, 20, 4)

    def answer(self, *, is_yes: bool) -> bool:
        """False where nothing was asked."""
        decision = self.decision
        if decision is None:
            return False
        (decision.accept if is_yes else decision.decline)()
        self.look()
        return True

    @property
    def about(self) -> str | None:
        """What is asked about."""
        return None if self.decision is None else self.decision.about

    def answers(self, event: QKeyEvent) -> bool:
        """Whether a key says yes, and something was asked."""
        return event.key() in {Qt.Key.Key_Return, Qt.Key.Key_Enter} and self.answer(is_yes=True)

    @guarded
    def paintEvent(self, painter: QPainter, _event: QPaintEvent) -> None:
        theme = self._desk.view.theme
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.fillRect(self.rect(), colour(theme.card))
        painter.fillRect(QRectF(0, 0, self._left, HEIGHT), colour(theme.panel))
        painter.setPen(colour(theme.strong_rule))
        painter.setBrush(colour(theme.wash))
        painter.drawRoundedRect(
            QRectF(self._left + 8.5, 4.5, self.width() - self._left - 17, HEIGHT - 9), 6, 6
        )
