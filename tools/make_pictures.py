"""All pictures of docs/screenshots and of the manual, made from the demo.

./run exec python tools/make_pictures.py [NAME ...]
"""

import os
import sys
import tempfile
from collections.abc import Callable
from functools import partial
from pathlib import Path

os.environ.setdefault("QT_QPA_PLATFORM", "offscreen")

from PySide6.QtCore import QPoint, Qt
from PySide6.QtGui import QImage
from PySide6.QtTest import QTest

from chronotome import assets
from chronotome.demo import __file__ as demo_file
from chronotome.files.journal import Journal
from chronotome.files.places import Settings
from chronotome.session.edits.metre import set_metre_from
from chronotome.session.edits.patterns import shape_steps
from chronotome.session.edits.shaping import set_roll, set_value
from chronotome.session.edits.slicing import Place
from chronotome.session.edits.tempo import ramp_tempo, set_tempo_from
from chronotome.session.metre import Metre
from chronotome.session.model import Session, Track
from chronotome.session.slices import Roll, SliceId
from chronotome.ui.application import (
    application,
    build,
    pause,
    show_demo_view,
    take_picture,
    wait_until_ready,
)
from chronotome.ui.dialogs.batch import BatchDialog
from chronotome.ui.dialogs.pads import PadsWindow
from chronotome.ui.stages.tighten import TightenTray
from chronotome.ui.state.view_state import For, RowsBy, Stage
from chronotome.ui.window.main_window import MainWindow

FOLDER = Path(__file__).parents[1] / "docs" / "screenshots"
AUDIO = Path(demo_file).parent / "harbour-ferry" / "audio"
USUAL, SMALL = (1280, 800), (1024, 700)
HALF = 50.0
TAKE_SECONDS = 5


def track(window: MainWindow, name: str) -> Track:
    return next(each for each in window.desk.session.tracks if each.name == name)


def focus(window: MainWindow, name: str) -> None:
    window.desk.view.chosen.focus(track(window, name).id)
    wait_until_ready(window)


def run(window: MainWindow, *names: str) -> None:
    for name in names:
        window.actions_table.run(name)
        wait_until_ready(window)


def tray_of(window: MainWindow) -> TightenTray:
    tray = window.trays[Stage.TIGHTEN]
    if not isinstance(tray, TightenTray):
        raise TypeError("Tighten has another tray")
    return tray


def groove(window: MainWindow) -> None:
    """The shaker's feel on the bucket kit, half its timing, all of its loudness."""
    focus(window, "Ferry shaker")
    run(window, "take-groove")
    focus(window, "Bucket kit")
    tray = tray_of(window)
    tray.to.choose(1)
    tray.grooves.timing.settled.emit(HALF)
    tray.grooves.loudness.settled.emit(100.0)
    wait_until_ready(window)
    window.desk.view.show_evidence(Stage.TIGHTEN, "groove")
    window.desk.view.show_groove(window.desk.session.grooves[-1].id, 3)


def match(window: MainWindow) -> None:
    """One bell line follows the other."""
    focus(window, "Bell line 2")
    tray_of(window).to.choose(2)
    wait_until_ready(window)
    window.desk.view.show_evidence(Stage.TIGHTEN, "match")


def shelf(window: MainWindow) -> None:
    run(window, "shelf")
    window.shelf.open(AUDIO)
    wait_until_ready(window)


def shelf_grooves(window: MainWindow) -> None:
    run(window, "shelf")
    window.desk.view.show_evidence(Stage.TIGHTEN, "groove")
    window.shelf.what.choose(1)
    window.shelf.grooves.list.setCurrentRow(6)
    wait_until_ready(window)


def by_hand(window: MainWindow) -> None:
    """A span with a recipe of its own, a noise that is not heard, cut with the room's tone in gaps."""
    focus(window, "Bucket kit")
    view, tray = window.desk.view, tray_of(window)
    bar = window.desk.session.metre.first.bar
    view.set_recipe_for(For.SPAN, (2 * bar, 3 * bar))
    tray.strength.settled.emit(60.0)
    run(window, "once-more")
    shown = window.desk.guiding
    if shown is not None:
        view.chosen.select(int(shown.targets.onsets[(shown.targets.steps > bar + 1).argmax()]))
    run(window, "room-noise")
    tray.moving.way.choose(0)
    tray.moving.fill.setCurrentIndex(3)
    tray.moving.fill.activated.emit(3)


def apart(window: MainWindow) -> tuple[Place, tuple[SliceId, ...]]:
    """The bucket kit taken apart; its hits in the order of their places."""
    view = window.desk.view
    view.show_stage(Stage.REWORK)
    run(window, "apart")
    place, clip = view.chosen.place, view.chosen.clip
    if place is None or clip is None or clip.take.slices is None:
        raise ValueError("the kit was not taken apart")
    return place, clip.take.slices.ids


def hits(window: MainWindow) -> None:
    """A roll that grows, a reversed hit, loudness drawn over bars, one hit chosen."""
    (place, ids), view, store = apart(window), window.desk.view, window.desk.store
    view.chosen.choose_hits(place, ids[11:12])
    run(window, "reverse-clip")
    store.apply(lambda s: set_roll(s, place, ids[20:21], Roll(step=0.125, loudness=(-14.0, 0.0))), "Roll")
    drawn = {each: -9.0 + 12.0 * abs(5 - at) / 5 for at, each in enumerate(ids[12:20])}
    store.apply(lambda s: set_value(s, place, "loudness", drawn), "Shape")
    view.chosen.choose_hits(place, ids[16:17])


def pattern(window: MainWindow) -> None:
    """Two bars of the bucket kit on keys and as a pattern: steps by chance, repeats, one made louder."""
    (place, ids), view, store = apart(window), window.desk.view, window.desk.store
    view.chosen.choose_hits(place, ids[10:30])
    run(window, "put-on-keys", "pattern")
    made = store.session.patterns[-1]
    for name, steps, value in (
        ("chances", made.ids[5:6], 0.5),
        ("chances", made.ids[15:16], 0.3),
        ("repeats", made.ids[9:10], 4),
        ("slopes", made.ids[9:10], -12.0),
        ("loudness", made.ids[12:15], -9.0),
    ):
        store.apply(partial(shape_steps, pattern=made.id, steps=steps, name=name, value=value), "Shape")
    run(window, "rounds-more")
    view.chosen.choose_hits(view.chosen.place or place, made.ids[9:10])
    view.order_rows(RowsBy.PITCH)


def take(window: MainWindow) -> None:
    """A take that is being recorded; it is given up when the window closes."""
    window.desk.transport.go_to(window.desk.session.frame_of(4.0))
    run(window, "take")
    while window.player.take_frames < TAKE_SECONDS * window.desk.session.rate:
        pause(50)


def walk(window: MainWindow) -> None:
    """The walk, at its sixth step."""
    run(window, "walk")
    for _ in range(5):
        window.beside.walk.card.next.click()


def song(window: MainWindow) -> None:
    """A song that slows down, goes on faster, and has two bars of 3/4."""
    view, store = window.desk.view, window.desk.store
    view.show_stage(Stage.FIT)

    def edit(session: Session) -> Session:
        session = set_tempo_from(ramp_tempo(session, 16.0, 20.0, 78.0), 24.0, 104.0)
        return set_metre_from(set_metre_from(session, 4, Metre(3, 4), bars=2), 7, Metre(7, 8))

    store.apply(edit, "Song")
    session = window.desk.session
    view.sight.show(view.sight.viewport.fitted(session.frame_of(8.5), session.frame_of(34.0)))


def batch(window: MainWindow) -> None:
    """The demo's recordings, tightened by the bucket kit's settings."""
    run(window, "batch")
    window.beside.batch.add([AUDIO])
    window.beside.batch.write_into(Path(tempfile.mkdtemp(prefix="chronotome-pictures-")) / "tight")
    window.beside.batch.go.click()


def pads(window: MainWindow) -> None:
    """The bucket kit's first hits on pads, one of them held."""
    (place, ids), view = apart(window), window.desk.view
    view.chosen.choose_hits(place, ids[:26])
    run(window, "put-on-keys", "pads")
    wait_until_ready(window)
    pause(1500)
    shown = next(each for each in window.findChildren(PadsWindow) if each.isVisible())
    QTest.mousePress(shown, Qt.MouseButton.LeftButton, pos=QPoint(200, 120))


EXTRA: dict[str, Callable[[MainWindow], None]] = {
    "groove": groove,
    "match": match,
    "shelf": shelf,
    "shelf-grooves": shelf_grooves,
    "by-hand": by_hand,
    "rework-hits": hits,
    "rework-pattern": pattern,
    "pattern-night": pattern,
    "take": take,
    "pads": pads,
    "walk": walk,
    "song": song,
    "batch": batch,
}
OWN_WINDOWS = (PadsWindow, BatchDialog)
MANUAL = {
    "mark": "mark",
    "fit": "fit",
    "tighten": "tighten",
    "rework": "rework",
    "rework-pattern": "pattern",
    "export": "export",
}
"""Pictures that the manual shows too, smaller."""
MANUAL_FOLDER, MANUAL_WIDTH = Path(assets.__file__).parent / "manual", 780
STAGES = {stage.name.lower(): stage for stage in Stage}
NIGHTS = ("tighten-night", "pattern-night")


def make(name: str, journal: Path) -> list[str]:
    """One picture, from a window of its own; what went wrong."""
    errors: list[str] = []
    theme = "night" if name in NIGHTS else "day"
    window = build(Settings(theme=theme), output="simulated", journal=Journal(journal))
    window.desk.tasks.error.connect(errors.append)
    window.resize(*(SMALL if name in NIGHTS else USUAL))
    window.show()
    show_demo_view(window)
    window.session_files.open_demo()
    wait_until_ready(window)
    if name in EXTRA:
        EXTRA[name](window)
        wait_until_ready(window)
        pause(400)
        others = [each for kind in OWN_WINDOWS for each in window.findChildren(kind) if each.isVisible()]
        shown = next(iter(others), window)
        application().sendPostedEvents()  # words that came meanwhile have their room
        shown.grab().save(str(FOLDER / f"{name}.png"))
    else:
        take_picture(window, STAGES.get(name, Stage.TIGHTEN), FOLDER / f"{name}.png", errors)
    window.desk.store.mark_saved(window.desk.store.history.session)
    window.close()
    if name in MANUAL:
        whole = QImage(str(FOLDER / f"{name}.png"))
        smaller = whole.scaledToWidth(MANUAL_WIDTH, Qt.TransformationMode.SmoothTransformation)
        smaller.save(str(MANUAL_FOLDER / f"{MANUAL[name]}.png"))
    return errors


def main() -> None:
    names = sys.argv[1:] or [*STAGES, *EXTRA, NIGHTS[0]]
    with tempfile.TemporaryDirectory() as folder:
        for kind in ("CONFIG", "STATE", "CACHE", "DATA"):
            os.environ[f"XDG_{kind}_HOME"] = str(Path(folder) / kind)
        _qt = application()
        for name in names:
            for error in make(name, Path(folder) / "journal"):
                print(f"{name}: {error}", file=sys.stderr)


if __name__ == "__main__":
    main()
