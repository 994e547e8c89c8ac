"""Which hits sound alike: listened to in a thread, once for each way a recording is cut."""

from collections import OrderedDict
from collections.abc import Callable

import numpy as np
from PySide6.QtCore import QObject

from chronotome.bridge.recordings import Recordings
from chronotome.bridge.store import Store
from chronotome.bridge.tasks import Tasks
from chronotome.dsp.likeness import Likeness, likeness_of
from chronotome.errors import ChronotomeError
from chronotome.progress import Progress
from chronotome.render.pool import Source
from chronotome.session.limits import ContentHash
from chronotome.session.slices import Slices
from chronotome.words import tr

MOST_KEPT = 8
Key = tuple[ContentHash, tuple[int, ...], tuple[int, ...]]


class Likenesses(QObject):
    """What hits sound like, known once it was asked for."""

    def __init__(self, store: Store, tasks: Tasks, recordings: Recordings) -> None:
        super().__init__(store)
        self._store, self._tasks, self._recordings = store, tasks, recordings
        self._known: OrderedDict[Key, Likeness] = OrderedDict()
        self._asked: dict[Key, list[Callable[[Likeness], None]]] = {}

    def listen(self, content: ContentHash, slices: Slices) -> None:
        """Find out, before somebody asks."""
        self.hear(content, slices, lambda _likeness: None)

    def hear(self, content: ContentHash, slices: Slices, then: Callable[[Likeness], None]) -> None:
        """Tell what slices sound like; at once where that is known."""
        key: Key = (content, slices.starts, slices.ends)
        known, source = self._known.get(key), self._recordings.pool.get(content)
        if known is not None:
            self._known.move_to_end(key)
            then(known)
            return
        if source is None or not source.is_whole:
            self._tasks.told.emit(tr("Still reading the recording. Try again in a moment."))
            return
        self._asked.setdefault(key, []).append(then)
        if len(self._asked[key]) == 1:
            self._hear(key, slices, source)

    def _hear(self, key: Key, slices: Slices, source: Source) -> None:
        samples, rate = source.region.samples, source.rate
        ratio = rate / self._store.session.recording_with(key[0]).rate
        starts, ends = (
            np.rint(each * ratio).astype(np.int64) for each in (slices.start_array, slices.end_array)
        )

        def told(likeness: Likeness) -> None:
            self._known[key] = likeness
            while len(self._known) > MOST_KEPT:
                self._known.popitem(last=False)
            for each in self._asked.pop(key, []):
                each(likeness)

        def failed(_error: ChronotomeError) -> None:
            self._asked.pop(key, None)

        def work(_progress: Progress) -> Likeness:
            return likeness_of(samples, rate, starts, ends)

        self._tasks.run(tr("Comparing hits"), work, told, failed)
