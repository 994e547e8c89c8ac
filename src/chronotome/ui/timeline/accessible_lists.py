"""What is in each lane, in words: for screen readers, and for whoever asks."""

import numpy as np

from chronotome.dsp.clicks import ALLOWED
from chronotome.session.kits import key_name
from chronotome.session.metre import MetreMap, hit_words, position_words
from chronotome.session.targets import REASON_WORDS, Reason
from chronotome.session.tempo_points import TempoPoint, points_of
from chronotome.ui.commands.patterns import PatternCommands
from chronotome.ui.commands.proving import ProofCommands
from chronotome.ui.state.figures import clock, decibels, plain, signed
from chronotome.ui.state.shown import Shown
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr


def drift_words(milliseconds: float) -> str:
    """Early or late, and by how much."""
    if abs(milliseconds) < 0.05:
        return tr("on the line")
    return tr("{0} ms {1}", plain(abs(milliseconds)), tr("late") if milliseconds > 0 else tr("early"))


class HitList:
    """The hits of the clip that is worked on: where, how strong, how far off, and where they land."""

    def __init__(self, desk: UiContext) -> None:
        self._desk = desk

    @property
    def _shown(self) -> Shown | None:
        return self._desk.guiding

    def count(self) -> int:
        shown = self._shown
        return 0 if shown is None else len(shown.targets)

    def words(self, row: int) -> str:
        shown, session = self._shown, self._desk.session
        if shown is None:
            return ""
        targets = shown.targets
        where = hit_words(float(targets.steps[row]), session.metre)
        parts = [
            where,
            tr("strength {0:.0f}", targets.strengths[row]),
            drift_words(float(targets.drift[row])),
        ]
        moved = (targets.target[row] - targets.fitted[row]) / targets.rate * 1000
        if abs(moved) >= 0.05:
            reason = tr(REASON_WORDS[Reason(int(targets.reasons[row]))])
            parts.append(tr("target {0}, {1}", drift_words(float(targets.landing[row])), reason))
        return ", ".join(parts)

    def current(self) -> int:
        shown, selected = self._shown, self._desk.view.chosen.onset
        if shown is None or selected is None:
            return -1
        found = np.flatnonzero(shown.targets.onsets == selected)
        return int(found[0]) if len(found) else -1

    def choose(self, row: int) -> None:
        shown = self._shown
        if shown is not None and row < len(shown.targets):
            self._desk.view.chosen.select(int(shown.targets.onsets[row]))
            self._desk.view.sight.center_on(float(shown.landings[row]))


class OnsetList:
    """Everything that may be a hit: when, how strong, and whether it counts."""

    def __init__(self, desk: UiContext) -> None:
        self._desk = desk

    def count(self) -> int:
        shown = self._desk.shown
        return 0 if shown is None else len(shown.recording.onsets)

    def words(self, row: int) -> str:
        shown = self._desk.shown
        if shown is None:
            return ""
        onsets = shown.recording.onsets
        when = clock(onsets.frames[row] / shown.recording.rate)
        state = tr("counted") if shown.counts[row] else tr("hidden")
        lock = tr(", pinned") if onsets.lock_array[row] else ""
        return tr("{0}, strength {1:.0f}, {2}{3}", when, onsets.strengths[row], state, lock)

    def current(self) -> int:
        shown, selected = self._desk.shown, self._desk.view.chosen.onset
        if shown is None or selected is None:
            return -1
        place = shown.recording.onsets.place_of(selected)
        return -1 if place is None else place

    def choose(self, row: int) -> None:
        shown = self._desk.shown
        if shown is not None:
            self._desk.view.chosen.select(int(shown.recording.onsets.ids[row]))
            self._desk.view.sight.center_on(float(shown.onset_frames()[row]))


class ClipList:
    """The clips of the track that is worked on, in the order in which they sound."""

    def __init__(self, desk: UiContext) -> None:
        self._desk = desk

    def count(self) -> int:
        track = self._desk.view.chosen.focused
        return 0 if track is None else len(track.clips)

    def words(self, row: int) -> str:
        track, session = self._desk.view.chosen.focused, self._desk.session
        if track is None:
            return ""
        clip = track.clips[row]
        start, end = session.played_span(clip)
        where = position_words(session.beat_of(start), session.metre)
        kind = ""
        if clip.take.playing is not None:
            kind = tr("pattern")
        elif clip.take.slices is not None:
            kind = tr("sliced")
        parts = [clip.name or track.name, where, tr("{0} s", plain((end - start) / session.rate, 2))]
        parts += [kind] if kind else []
        parts += [decibels(clip.level)] if clip.level else []
        parts += [tr("muted")] if clip.is_muted else []
        return ", ".join(parts)

    def current(self) -> int:
        track, clip = self._desk.view.chosen.focused, self._desk.view.chosen.clip
        ids = [] if track is None else [each.id for each in track.clips]
        return ids.index(clip.id) if clip is not None and clip.id in ids else -1

    def choose(self, row: int) -> None:
        track = self._desk.view.chosen.focused
        if track is not None:
            self._desk.view.chosen.choose_clips(((track.id, track.clips[row].id),))


class StepList:
    """The steps of the pattern that the clip plays."""

    def __init__(self, desk: UiContext, commands: PatternCommands) -> None:
        self._desk, self._commands = desk, commands

    def count(self) -> int:
        pattern = self._commands.pattern
        return 0 if pattern is None else len(pattern)

    def words(self, row: int) -> str:
        pattern, kit = self._commands.pattern, self._commands.kit
        if pattern is None or kit is None:
            return ""
        piece = kit.slice_of(pattern.slices[row])
        key = "" if piece is None else tr("key {0}, ", key_name(piece.key))
        where = position_words(pattern.places[row], self._desk.session.metre)
        loud, chance = float(pattern.column("loudness")[row]), float(pattern.column("chances")[row])
        more = f", {decibels(loud)}" if loud else ""
        more += tr(", chance {0} %", plain(100 * chance, 0)) if chance < 1 else ""
        return f"{key}{where}{more}"

    def current(self) -> int:
        pattern, steps = self._commands.pattern, self._desk.view.chosen.steps
        known = () if pattern is None else pattern.ids
        return known.index(steps[-1]) if steps and steps[-1] in known else -1

    def choose(self, row: int) -> None:
        pattern, place = self._commands.pattern, self._desk.view.chosen.place
        if pattern is not None and place is not None:
            self._desk.view.chosen.choose_hits(place, (pattern.ids[row],))


class TempoList:
    """The song's tempo points; choosing one puts the playhead there."""

    def __init__(self, desk: UiContext) -> None:
        self._desk = desk

    def _points(self) -> tuple[TempoPoint, ...]:
        return points_of(self._desk.session.tempo)

    def count(self) -> int:
        return len(self._points())

    def words(self, row: int) -> str:
        return point_words(self._points()[row], self._desk.session.metre)

    def current(self) -> int:
        beat = self._desk.session.beat_of(self._desk.transport.position)
        return max((at for at, each in enumerate(self._points()) if each.beat <= beat + 1e-3), default=-1)

    def choose(self, row: int) -> None:
        self._desk.transport.go_to(max(0.0, self._desk.session.frame_of(self._points()[row].beat)))


def point_words(point: TempoPoint, metre: MetreMap) -> str:
    how = tr("ramp") if point.is_ramp else tr("step")
    return tr("{0} bpm from bar {1}, {2}", plain(point.bpm, 2), metre.position(point.beat)[0], how)


class JoinList:
    """The joins of the proof, and which of them click."""

    def __init__(self, desk: UiContext, commands: ProofCommands) -> None:
        self._desk, self._commands = desk, commands

    def count(self) -> int:
        proof = self._commands.proof
        return 0 if proof is None else len(proof.joins)

    def words(self, row: int) -> str:
        proof, session = self._commands.proof, self._desk.session
        if proof is None:
            return ""
        where = hit_words(session.beat_of(float(proof.joins[row])), session.metre)
        level = float(proof.levels[row])
        return tr("{0}, {1} dB{2}", where, signed(level), tr(", audible") if level > ALLOWED else "")

    def current(self) -> int:
        proof = self._commands.proof
        if proof is None:
            return -1
        found = np.flatnonzero(proof.joins == round(self._desk.transport.position))
        return int(found[0]) if len(found) else -1

    def choose(self, row: int) -> None:
        self._commands.go_to(row)
