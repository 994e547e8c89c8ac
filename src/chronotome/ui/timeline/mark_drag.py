"""Drags in the wave: a mark that is corrected, sound that slips under its mark, the end of a clip in Fit.

Each is measured on what was shown when it was taken: what moves under the hand must not move the hand.
"""

from chronotome.render.mix import Side
from chronotome.session.edits.fitting import TempoSync, set_bars, set_following
from chronotome.session.edits.marks import correct_onsets, slip_onset
from chronotome.session.model import Session
from chronotome.session.onsets import OnsetId
from chronotome.ui.state.figures import signed
from chronotome.ui.state.shown import Shown
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.gestures import ValueDrag
from chronotome.words import tr


class MarkDrag(ValueDrag):
    """Its value is the frame of the recording that the mark is put on."""

    def __init__(self, desk: UiContext, shown: Shown, onset: OnsetId) -> None:
        self.shown = shown
        track, clip, frame = shown.track.id, shown.clip.id, shown.recording.onsets.frame_of(onset)
        is_pinned = shown.take.touch_of(onset) is not None
        is_still = shown.side is Side.AS_PLAYED or shown.recipe.strength == 0 or is_pinned
        rest = tr("audio stays") if is_still else tr("target moves along")

        def correct(session: Session, to: float) -> Session:
            return correct_onsets(session, track, clip, [onset], round(to) - frame)

        def words(to: float) -> str:
            return tr("onset {0} ms · {1}", signed((to - frame) / shown.recording.rate * 1000), rest)

        super().__init__(desk, correct, tr("Move onset"), words=words)


class SlipDrag(ValueDrag):
    """Its value is the frame of the recording that sounds at the mark; the mark stays."""

    def __init__(self, desk: UiContext, shown: Shown, onset: OnsetId, pressed: float) -> None:
        self._shown, self._pressed = shown, shown.recording_frame(pressed)
        self._frame = shown.recording.onsets.frame_of(onset)
        track, clip, frame = shown.track.id, shown.clip.id, self._frame

        def slip(session: Session, to: float) -> Session:
            return slip_onset(session, track, clip, onset, round(to))

        def words(to: float) -> str:
            return tr("audio {0} ms · onset stays", signed((frame - to) / shown.recording.rate * 1000))

        super().__init__(desk, slip, tr("Slip audio"), words=words)

    def to_frame(self, frame: float) -> None:
        """The hand is at a session frame on screen."""
        self.to(self._frame + self._pressed - self._shown.recording_frame(frame))


class EndDrag(ValueDrag):
    """Its value is how many bars the clip is; it follows the song from then on."""

    def __init__(self, desk: UiContext, shown: Shown) -> None:
        track, self._metre = shown.track.id, desk.session.metre
        self._start = desk.session.tempo.beat_of(float(shown.heard_anchors[0]) / shown.rate)

        def to_bars(session: Session, bars: float) -> Session:
            return set_following(set_bars(session, track, bars), track, TempoSync.RECORDING)

        super().__init__(desk, to_bars, tr("Stretch end to bar line"))

    def to_beat(self, beat: float) -> None:
        bars = max(1.0, round(self._metre.bar_at(beat) - self._metre.bar_at(self._start)))
        if bars != self.value:
            self.to(bars)
            self.desk.say(tr("Length: {0:.0f} {1}", bars, tr("bar") if bars == 1 else tr("bars")))
