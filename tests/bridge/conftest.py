"""Everything below the window, wired as it is in the program, with a player that plays when it is told to."""

from types import SimpleNamespace

import numpy as np
import pytest

from chronotome.bridge.analyses import Analyses
from chronotome.bridge.document import OpenSession
from chronotome.bridge.fits import Fits
from chronotome.bridge.recordings import Recordings
from chronotome.bridge.rendering import Rendering
from chronotome.bridge.shelf import Shelf
from chronotome.bridge.store import Store
from chronotome.bridge.tasks import Tasks
from chronotome.bridge.transport import Transport
from chronotome.engine.player import Player
from chronotome.files.journal import Journal
from chronotome.render.arena import Arena
from sounds import noise_hits, write

SIGNALS = ("told", "error")


@pytest.fixture
def works(qapp, qtbot, tmp_path):
    arena, store = Arena(), Store()
    tasks = Tasks(store)
    player = Player(arena, output="simulated", in_process=True)
    recordings = Recordings(store, tasks, arena)
    analyses, fits = Analyses(store, tasks, recordings), Fits(store, tasks, recordings)
    journal = Journal(tmp_path / "journals")
    document = OpenSession(store, tasks, recordings, fits, journal)
    transport = Transport(store, player, arena, store)
    rendering = Rendering(store, recordings.pool, player, arena, store)
    recordings.retired.connect(rendering.retire)
    recordings.source_ready.connect(lambda _content: rendering.ask())
    shelf = Shelf(store, tasks, transport, arena, store)
    heard = {name: [] for name in SIGNALS}
    for name in SIGNALS:
        getattr(tasks, name).connect(heard[name].append)

    def settle():
        qtbot.waitUntil(lambda: tasks.is_idle and rendering.is_current, timeout=8000)
        player.step(2)

    def drum(name, frames=(2000, 26000, 50000, 74000), total=96000, **options):
        return write(tmp_path / name, noise_hits(list(frames), total, rate=48000, **options), rate=48000)

    yield SimpleNamespace(**{**locals(), "said": heard["told"], "errors": heard["error"], "np": np})
    tasks.close()
    transport.close()
    rendering.close()
    document.close()
    journal.finish()
