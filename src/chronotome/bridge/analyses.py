"""Onsets and pulse of every recording, looked for in the background as soon as it is read."""

from dataclasses import dataclass
from pathlib import Path

from PySide6.QtCore import QObject

from chronotome.bridge.recordings import Recordings
from chronotome.bridge.store import Store
from chronotome.bridge.tasks import Tasks
from chronotome.dsp.audio import Audio
from chronotome.dsp.bands import Instrument
from chronotome.dsp.hits import HitTraits, hit_traits
from chronotome.errors import Cancelled, ChronotomeError
from chronotome.files.analysis import Analysis, analyse, keep_analysis, kept_analysis
from chronotome.files.tags import tempo_tag
from chronotome.progress import Progress
from chronotome.render.pool import Source
from chronotome.session.edits.fitting import led
from chronotome.session.edits.recordings import set_analysis, set_traits
from chronotome.session.limits import ContentHash
from chronotome.session.model import Recording, Session
from chronotome.session.onsets import Onsets
from chronotome.units import at_other_rate
from chronotome.words import tr

AnalysisRequest = tuple[ContentHash, Instrument | None]
"""A recording, and the material a person said it is of; None where that is to be heard."""


@dataclass(frozen=True, eq=False)
class AnalysisResult:
    """What the analysis of a recording brought."""

    asked: AnalysisRequest
    analysis: Analysis


class Analyses(QObject):
    """See that every recording has its analysis, in sessions of the past too."""

    def __init__(self, store: Store, tasks: Tasks, recordings: Recordings) -> None:
        super().__init__(store)
        self._store, self._tasks, self._recordings = store, tasks, recordings
        self._found: dict[AnalysisRequest, AnalysisResult] = {}
        self._running: set[AnalysisRequest] = set()
        self._measuring: dict[ContentHash, Onsets] = {}
        recordings.source_ready.connect(lambda _content: self._bring(self._store.session))
        recordings.replaced.connect(self._forget)
        store.changed.connect(lambda _before, after: self._bring(after))

    def is_looking(self, recording: Recording) -> bool:
        """Whether its hits are being looked for, or will be once it is read."""
        return _asked(recording) not in self._found

    def find_again(self, content: ContentHash) -> None:
        """Look for hits where that was cancelled."""
        source = self._recordings.pool.get(content)
        if source is not None and source.is_whole:
            recording = self._store.session.recording_with(content)
            self._found.pop(_asked(recording), None)
            self._look(recording, source)

    def _forget(self) -> None:
        self._found.clear()
        self._measuring = {}
        self._running = set()  # tasks of the session before clear theirs, not this one

    def _bring(self, session: Session) -> None:
        for recording in session.recordings:
            source = self._recordings.pool.get(recording.content)
            if source is None or not source.is_whole:
                continue
            if recording.is_analysed:
                self._measure(recording, source)
                continue
            found = self._found.get(_asked(recording))
            if found is None:
                self._look(recording, source)
            elif len(found.analysis.onsets):
                self._amend(found)

    def _look(self, recording: Recording, source: Source) -> None:
        """In the background, unless that runs already."""
        asked, running, is_current = _asked(recording), self._running, self._recordings.watch()
        if asked in running:
            return
        running.add(asked)

        def show(found: AnalysisResult) -> None:
            running.discard(asked)
            if is_current():
                self._found[asked] = found
                self._amend(found)
                if not len(found.analysis.onsets):
                    self._tasks.told.emit(
                        tr(
                            "No hits found in {0}. Lower the threshold in Mark.",
                            recording.file,
                        )
                    )

        def fail(error: ChronotomeError) -> None:
            running.discard(asked)
            if is_current():
                self._found[asked] = AnalysisResult(asked, Analysis(Onsets(), None))
                self._say_why_not(recording, error)

        place = self._recordings.places.get(recording.content)
        words = tr("Detecting onsets in {0}", recording.file) + (tr(" as {0}", asked[1]) if asked[1] else "")
        self._tasks.run(words, lambda progress: _find(recording, source, place, progress), show, fail)

    def _measure(self, recording: Recording, source: Source) -> None:
        """How loud its hits are: of sessions from before that was measured, and of marks set by hand."""
        onsets, content, is_current = recording.onsets, recording.content, self._recordings.watch()
        if onsets.is_measured or onsets is self._measuring.get(content):
            return
        self._measuring[content] = onsets

        def show(traits: HitTraits) -> None:
            self._measuring.pop(content, None)
            if is_current():
                self._store.amend(lambda session: set_traits(session, content, onsets, traits))

        def fail(error: ChronotomeError) -> None:
            if not isinstance(error, Cancelled):
                self._tasks.error.emit(str(error))

        frames = at_other_rate(onsets.frame_array, recording.rate, source.rate)
        samples = source.region.samples
        self._tasks.run(
            tr("Analysing hits of {0}", recording.file),
            lambda _progress: hit_traits(samples, source.rate, frames),
            show,
            fail,
        )

    def _say_why_not(self, recording: Recording, error: ChronotomeError) -> None:
        name = recording.file
        if isinstance(error, Cancelled):
            self._tasks.told.emit(
                tr("Onsets of {0} are not detected yet. Choose Detect onsets in Mark.", name)
            )
        else:
            self._tasks.error.emit(str(error))

    def _amend(self, found: AnalysisResult) -> None:
        (content, _material), analysis = found.asked, found.analysis

        def amend(session: Session) -> Session:
            recording = next((each for each in session.recordings if each.content == content), None)
            if recording is None or _asked(recording) != found.asked:
                return session
            known = analysis.onsets, analysis.measured, analysis.material
            return led(set_analysis(session, content, *known, quiet=analysis.quiet))

        self._store.amend(amend)


def _find(recording: Recording, source: Source, place: Path | None, progress: Progress) -> AnalysisResult:
    """From the cache, or worked out and kept there."""
    asked = _asked(recording)
    content, material = asked
    analysis = kept_analysis(content, material)
    if analysis is None:
        analysis = analyse(
            Audio(source.region.samples, source.rate),
            Path(recording.file).stem,
            progress,
            rate=recording.rate,
            frames=recording.frames,
            material=material,
            tag=tempo_tag(place) if place is not None else None,
        )
        keep_analysis(content, analysis, material)
    return AnalysisResult(asked, analysis)


def _asked(recording: Recording) -> AnalysisRequest:
    return recording.content, recording.material if recording.is_material_chosen else None
