"""Recordings of which one band is heard, as they are drawn: worked out in a thread, once for each band."""

from collections import OrderedDict
from collections.abc import Mapping

from PySide6.QtCore import QObject, QTimer, Signal

from chronotome.bridge.recordings import Recordings
from chronotome.bridge.store import Store
from chronotome.bridge.tasks import Tasks
from chronotome.errors import ChronotomeError
from chronotome.progress import Progress
from chronotome.render.banded import Banded, banded
from chronotome.render.pool import Source
from chronotome.session.limits import ContentHash
from chronotome.session.model import Crossover, Take
from chronotome.words import tr

MOST_KEPT = 16
RESTING_MILLISECONDS = 120
"""After the last edit: it costs a look at all clips."""
Key = tuple[ContentHash, Crossover]


class Bands(QObject):
    """Finds sources as they are heard. Until a band is known, its recording is drawn whole."""

    found = Signal(str)
    """Waves of a recording look otherwise now."""

    def __init__(self, store: Store, tasks: Tasks, recordings: Recordings) -> None:
        super().__init__(store)
        self._store, self._tasks, self._recordings = store, tasks, recordings
        self._known: OrderedDict[Key, Banded] = OrderedDict()
        self._asked: set[Key] = set()
        self._resting = QTimer(self)
        self._resting.setSingleShot(True)
        self._resting.setInterval(RESTING_MILLISECONDS)
        self._resting.timeout.connect(self._look)
        recordings.source_ready.connect(self._resting.start)
        store.watch(self, self._resting.start, lambda session: session.tracks)

    def _look(self) -> None:
        """What is heard through a crossover is worked out before it is drawn."""
        takes = {id(clip.take): clip.take for _, clip in self._store.session.clips if clip.take.crossover}
        for take in takes.values():
            source = self._recordings.pool.get(take.recording)
            if source is not None and source.is_whole and take.crossover is not None:
                self._ask((take.recording, take.crossover), source)

    def heard(self, sources: Mapping[ContentHash, Source], take: Take) -> Mapping[ContentHash, Source]:
        """The same, where a take is heard through a crossover with its recording in one band."""
        source = sources.get(take.recording)
        if take.crossover is None or source is None:
            return sources
        known = self._known.get((take.recording, take.crossover))
        is_same = known is not None and known.region is source.region
        return {**sources, take.recording: known} if is_same and known is not None else sources

    def _ask(self, key: Key, source: Source) -> None:
        known = self._known.get(key)
        if key in self._asked or (known is not None and known.region is source.region):
            return
        self._asked.add(key)

        def work(progress: Progress) -> Banded:
            return banded(source, key[1], progress)

        def show(made: Banded) -> None:
            self._asked.discard(key)
            self._known[key] = made
            while len(self._known) > MOST_KEPT:
                self._known.popitem(last=False)
            self.found.emit(key[0])

        def failed(_error: ChronotomeError) -> None:
            self._asked.discard(key)

        self._tasks.run(tr("Drawing what is heard"), work, show, failed)
