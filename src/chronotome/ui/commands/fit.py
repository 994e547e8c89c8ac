"""What the actions of Fit do: tempo, beats and bars of a recording, and who follows whom."""

import time
from collections.abc import Callable
from dataclasses import dataclass

import numpy as np

from chronotome.render.mix import Side
from chronotome.session.anchors import heard_beats_of
from chronotome.session.edits import fitting
from chronotome.session.edits.fitting import BeatCorrection, TempoSync
from chronotome.session.edits.tempo import set_tempo_at
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.fit import BeatMap, TempoOption
from chronotome.session.fit_checks import fit_checks_of
from chronotome.session.follow import beats_of
from chronotome.session.model import Recording, Session, Take, Track, replace
from chronotome.ui.commands.taps import LONGEST_TAP_GAP, TAPS, more_taps_words, tap_words, tempo_of_taps
from chronotome.ui.state.figures import counted, plain
from chronotome.ui.state.shown import Shown
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

MOST_BARS = 4096
NEARLY_WHOLE = 0.02
"""Of a bar: so near to a whole number is that number."""


@dataclass(frozen=True, eq=False)
class Guide:
    """The track, clip and recording whose beats count for the focused track, as shown, and those beats."""

    shown: Shown
    beats: BeatMap | None
    heard: BeatMap | None
    """The beats after the fit, on the side that is listened to: what drift is left."""

    @property
    def track(self) -> Track:
        return self.shown.track

    @property
    def take(self) -> Take:
        return self.shown.take

    @property
    def recording(self) -> Recording:
        return self.shown.recording

    def frame_at(self, beats: np.ndarray) -> np.ndarray:
        """Session frames on screen of the recording's beats."""
        if self.beats is None:
            return np.zeros(0)
        shown = self.shown
        seconds = self.beats.seconds_at(beats)
        played = shown.take.start + (seconds - shown.take.source_start / shown.recording.rate) * shown.rate
        return shown.heard_of_played(played)


def guide_of(desk: UiContext) -> Guide | None:
    session, shown = desk.session, desk.guiding
    if shown is None:
        return None
    beats = beats_of(session, shown.take)
    is_edited = desk.transport.side is Side.EDITED
    return Guide(shown, beats, heard_beats_of(session, shown.track, shown.take) if is_edited else beats)


class FitCommands:
    """One method for each thing that a key or a menu can do in Fit."""

    def __init__(self, desk: UiContext) -> None:
        self._desk = desk
        self._taps: list[float] = []
        self._tapped_frames: list[int] = []
        self._tapped: Session | None = None
        """What the taps so far led to."""

    def _apply(self, edit: Callable[[Session], Session], label: str) -> None:
        self._desk.store.apply(edit, label)

    def _say(self, words: str) -> None:
        self._desk.say(words)

    @property
    def guide(self) -> Guide | None:
        return guide_of(self._desk)

    def _with_guide(self, do: Callable[[Guide], None]) -> None:
        guide = self.guide
        if guide is None:
            self._say(tr("No recording yet. Drop a file into the window."))
        else:
            do(guide)

    # Tempo

    def tap(self) -> None:
        """Tempo from the last taps; while it plays, also where the recording's beats are."""
        now = time.monotonic()
        if self._taps and now - self._taps[-1] > LONGEST_TAP_GAP:
            self._taps.clear()
            self._tapped_frames.clear()
            self._tapped = None
        self._taps = [*self._taps, now][-TAPS:]
        transport = self._desk.transport
        if transport.is_playing:
            early = self._desk.preferences.reaction_seconds * self._desk.session.rate
            self._tapped_frames = [*self._tapped_frames, round(transport.heard_now - early)][-TAPS:]
        else:
            self._tapped_frames.clear()
        found = tempo_of_taps(self._taps)
        if found is None:
            self._say(more_taps_words(self._taps))
            return
        words = tap_words(found)
        if len(self._tapped_frames) == len(self._taps) and self.guide is not None:
            self._set_tapped(words)
            return
        tempo = round(found.tempo, 2)
        here = self._desk.session.beat_of(transport.position)
        self._apply_run(lambda session: set_tempo_at(session, here, tempo), tr("Tap song tempo"))
        self._say(tr("{0}: set as song tempo. Tap during playback to set beats.", words))

    def _set_tapped(self, words: str) -> None:
        guide = self.guide
        if guide is None:
            return
        frames = [guide.shown.recording_frame(frame) for frame in self._tapped_frames]
        track = guide.track.id

        def edit(session: Session) -> Session:
            after = fitting.set_tapped(session, track, frames)
            if fitting.following_of(after, track) is not TempoSync.NOBODY:
                return after
            return fitting.set_following(after, track, TempoSync.SONG)

        self._apply_run(edit, tr("Tap beats"))
        self._say(tr("{0}: set as recording tempo; the first tap is beat one", words))

    def _apply_run(self, edit: Callable[[Session], Session], label: str) -> None:
        """One run of taps is one step of undo, however often it was tapped."""
        store = self._desk.store
        if self._tapped is not None and store.history.session is self._tapped:
            store.apply_again(edit, label)
        else:
            store.apply(edit, label)
        self._tapped = store.history.session

    def choose(self, option: TempoOption) -> None:
        """Let the recording have a tempo that was proposed."""

        def do(guide: Guide) -> None:
            measured, track = guide.recording.measured, guide.track.id
            if measured is None:
                return
            quarters = option.beats_per_minute * measured.quarters
            ratio = quarters / measured.tempo
            words = tr("Tempo {0}", plain(option.beats_per_minute, 2))
            if option.sources == ("measured",) or abs(ratio - 1) < 0.01:
                scale = 1.0 if abs(ratio - 1) < 0.01 else ratio
                self._apply(
                    lambda session: fitting.set_fit(
                        session, track, lambda fit: replace(fit, tempo=None, scale=scale, pins=())
                    ),
                    words,
                )
            else:
                self._apply(lambda session: fitting.set_recording_tempo(session, track, quarters), words)

        self._with_guide(do)

    def set_tempo(self, tempo: float) -> None:
        """The recording's tempo, as typed."""
        self._with_guide(
            lambda guide: self._apply(
                lambda session: fitting.set_recording_tempo(session, guide.track.id, tempo),
                tr("Set recording tempo"),
            )
        )

    def at_song_tempo(self) -> None:
        """The file is at the song's tempo already."""
        session, guide = self._desk.session, self.guide
        start = 0 if guide is None else guide.take.start
        self.set_tempo(session.tempo.at(session.beat_of(start)))

    def scale(self, factor: float) -> None:
        """Half or double time of the recording."""
        words = tr("Double time") if factor > 1 else tr("Half time")
        self._with_guide(
            lambda guide: self._apply(
                lambda session: fitting.scale_beats(session, guide.track.id, factor), words
            )
        )

    def set_bars(self, bars: float) -> None:
        """The clip is so many bars."""
        bars = max(0.25, min(MOST_BARS, bars))

        def do(guide: Guide) -> None:
            before = self._desk.session
            words = tr("Set length to {0:g} {1}", bars, tr("bar") if bars == 1 else tr("bars"))
            self._apply(lambda session: fitting.set_bars(session, guide.track.id, bars), words)
            if self._desk.session is before:
                self._say(
                    tr("Cannot set {0:g} bars: the tempo must be 20 to 400 bpm and different from now", bars)
                )

        self._with_guide(do)

    def more_bars(self, step: int) -> None:
        """To the next whole number of bars above or below."""

        def do(guide: Guide) -> None:
            now = fitting.bars_in(self._desk.session, guide.take)
            wanted = np.floor(now + NEARLY_WHOLE) + 1 if step > 0 else np.ceil(now - NEARLY_WHOLE) - 1
            if wanted < 1:
                self._say(tr("The recording is shorter than one bar. Halve the number of bars."))
                return
            self.set_bars(float(wanted))

        self._with_guide(do)

    def bars_times(self, factor: float) -> None:
        self._with_guide(
            lambda guide: self.set_bars(
                max(1.0, round(fitting.bars_in(self._desk.session, guide.take))) * factor
            )
        )

    # Beats and bars

    def _here(self, guide: Guide) -> int:
        """The recording's frame that is meant: the selected hit, or the one nearest to the playhead."""
        shown, selected = guide.shown, self._desk.view.chosen.onset
        place = None if selected is None else shown.recording.onsets.place_of(selected)
        if place is not None:
            return shown.recording.onsets.frames[place]
        position = self._desk.transport.position
        if len(shown.targets):
            nearest = int(shown.targets.onsets[np.abs(shown.hits - position).argmin()])
            at = shown.recording.onsets.place_of(nearest)
            if at is not None:
                return shown.recording.onsets.frames[at]
        return max(0, shown.recording_frame(position))

    def beat_one(self) -> None:
        """Beat one at the selected onset, or at the one nearest to the playhead; before it is a pickup."""

        def do(guide: Guide) -> None:
            frame, track, take = self._here(guide), guide.track.id, guide.take
            rate = guide.recording.rate

            def edit(session: Session) -> Session:
                session = fitting.set_recording_beat_one(session, track, frame)
                if fitting.following_of(session, track) is not TempoSync.NOBODY:
                    return session
                return set_beat_one(session, fitting.played_seconds(session, take, frame / rate))

            self._apply(edit, tr("Set beat one"))

        self._with_guide(do)

    def ask_bar(self) -> None:
        """Ask which bar starts at the selected hit, or at the one nearest to the playhead."""

        def do(guide: Guide) -> None:
            frame = self._here(guide)
            metre = self._desk.session.metre.seen_from(guide.take.beat)
            now = 1
            if guide.beats is not None:
                seconds = np.array([frame / guide.recording.rate])
                now = round(metre.bar_at(float(guide.beats.beats_at(seconds)[0]))) + 1
            number = self._desk.ask.whole(
                tr("Bar number"),
                tr("Number of the bar that starts at this hit:"),
                now,
                -999,
                99999,
            )
            if number is not None:
                self.bar_is_here(number, frame)

        self._with_guide(do)

    def bar_is_here(self, number: int, frame: int) -> None:
        self._with_guide(
            lambda guide: self._apply(
                lambda session: fitting.bar_is_here(session, guide.track.id, number, frame),
                tr("Set bar {0} here", number),
            )
        )

    def mend(self, how: BeatCorrection) -> None:
        """Mend the beats from the chosen bar on."""

        def do(guide: Guide) -> None:
            beat = self._desk.view.chosen.beat
            if beat is None:
                checks = fit_checks_of(self._desk.session, guide.track)
                if not checks:
                    self._say(tr("Select a bar in the Pulse lane first"))
                    return
                beat = checks[0].beat
            self._apply(
                lambda session: fitting.mend(session, guide.track.id, beat, how), tr("From here: {0}", how)
            )

        self._with_guide(do)

    def forget(self) -> None:
        self._with_guide(
            lambda guide: self._apply(
                lambda session: fitting.forget_fit(session, guide.track.id), tr("Reset to detected fit")
            )
        )

    def write_beside(self) -> None:
        """Fit and beats as a file beside the recording's own."""
        self._with_guide(lambda guide: self._desk.fits.write(guide.recording.content))

    # Who follows whom

    def set_following(self, who: TempoSync) -> None:
        def do(guide: Guide) -> None:
            if guide.beats is None and who is not TempoSync.NOBODY:
                self._say(tr("The beats are unknown. Enter the bars or the tempo, or tap the beats."))
            self._apply(
                lambda session: fitting.set_following(session, guide.track.id, who), FOLLOWING_WORDS[who]
            )

        self._with_guide(do)

    def straighten(self) -> None:
        def do(guide: Guide) -> None:
            if guide.beats is None:
                self._say(tr("The beats are unknown. Tap the beats during playback."))
                return
            self._apply(lambda session: fitting.straighten(session, guide.track.id), tr("Straighten tempo"))
            beats, off = counted(len(guide.beats), "beat"), plain(guide.beats.residual)
            self._say(tr("Straightened {0}: tempo drift was {1} ms. Set the amount in the tray.", beats, off))

        self._with_guide(do)

    def use_measured(self) -> None:
        """The song takes tempo, metre and beat one from what was measured."""
        self._with_guide(
            lambda guide: self._apply(
                lambda session: fitting.use_measured(session, guide.track.id), tr("Copy tempo to song")
            )
        )

    # Going there

    def next_check(self) -> None:
        """Go to the next doubtful bar, round again after the last."""

        def do(guide: Guide) -> None:
            checks = fit_checks_of(self._desk.session, guide.track)
            if not checks:
                self._say(tr("Nothing to check"))
                return
            beat = self._desk.view.chosen.beat
            later = [check for check in checks if beat is None or check.beat > beat + 1e-6]
            self.go_to((later or list(checks))[0].beat)

        self._with_guide(do)

    def go_to(self, beat: float) -> None:
        """Choose a beat of the recording and bring it into sight."""

        def do(guide: Guide) -> None:
            frame = guide.frame_at(np.array([beat]))
            self._desk.view.chosen.choose_beat(beat)
            if len(frame):
                self._desk.view.sight.center_on(float(frame[0]))
                if not self._desk.transport.is_playing:
                    self._desk.transport.go_to(float(frame[0]))

        self._with_guide(do)


FOLLOWING_WORDS = {
    TempoSync.NOBODY: tr("Keep tempos separate"),
    TempoSync.RECORDING: tr("Recording follows song"),
    TempoSync.SONG: tr("Song takes recording tempo"),
    TempoSync.GRID: tr("Grid follows performance"),
}
