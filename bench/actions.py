"""Random actions, keys and drags over every lane of the demo, in two windows: what raises, what may not be.

./run exec python -m bench.actions [COUNT] [SEED]
"""

import random
import sys
import traceback
from collections import Counter
from typing import Any

from PySide6.QtCore import QCoreApplication, QEvent, QPointF, Qt
from PySide6.QtGui import QGuiApplication, QMouseEvent
from PySide6.QtWidgets import (
    QApplication,
    QDialog,
    QFileDialog,
    QInputDialog,
    QMessageBox,
    QSplitterHandle,
    QWidget,
)

from bench.material import isolate
from chronotome.files.journal import Journal
from chronotome.files.places import Settings
from chronotome.render.plan import plan_for
from chronotome.session.validity import check
from chronotome.ui.application import application, build, wait_until_ready
from chronotome.ui.panels.side import PanelGrip
from chronotome.ui.state.view_state import Stage
from chronotome.ui.timeline.lane import Lane

NEVER = {"quit", "demo", "new"}
"""Actions that end the run, or begin it again."""
MOST_CLIPS = 300
"""Cutting at every hit and duplicating all of it in turn would make millions."""
MODIFIERS = (
    Qt.KeyboardModifier.NoModifier,
    Qt.KeyboardModifier.NoModifier,
    Qt.KeyboardModifier.ShiftModifier,
    Qt.KeyboardModifier.ControlModifier,
    Qt.KeyboardModifier.AltModifier,
)


def mouse(widget: QWidget, kind: QEvent.Type, place: QPointF, keys: Qt.KeyboardModifier) -> None:
    none, left = Qt.MouseButton.NoButton, Qt.MouseButton.LeftButton
    button = none if kind is QEvent.Type.MouseMove else left
    held = none if kind is QEvent.Type.MouseButtonRelease else left
    where = QPointF(widget.mapToGlobal(place))
    QApplication.sendEvent(widget, QMouseEvent(kind, place, where, button, held, keys))


def drag(window: Any, chance: random.Random) -> str:
    """Off the edges too, undone or left by Escape in the middle now and then."""
    edges = [*window.findChildren(PanelGrip), *window.findChildren(QSplitterHandle)]
    lanes = [each for each in (*window.findChildren(Lane), *edges[:2]) if each.isVisible()]
    lane = chance.choice(lanes)
    keys = chance.choice(MODIFIERS)

    def place() -> QPointF:
        return QPointF(chance.uniform(-20, lane.width() + 20), chance.uniform(-5, lane.height() + 5))

    mouse(lane, QEvent.Type.MouseButtonPress, place(), keys)
    for _ in range(chance.randrange(4)):
        mouse(lane, QEvent.Type.MouseMove, place(), keys)
        if chance.random() < 0.05:
            chance.choice((window.undo, window.redo, window.timeline.cancel_drag))()
    mouse(lane, QEvent.Type.MouseButtonRelease, place(), keys)
    if chance.random() < 0.2:
        mouse(lane, QEvent.Type.MouseButtonDblClick, place(), keys)
        mouse(lane, QEvent.Type.MouseButtonRelease, place(), keys)
    return f"drag in {lane.accessibleName() or type(lane).__name__}"


def action(window: Any, chance: random.Random) -> str:
    known = window.actions_table._actions
    found = {name: each for name, each in known.items() if name not in NEVER and each.isEnabled()}
    name = chance.choice(sorted(found))
    found[name].trigger()
    return name


def tidy(window: Any, number: int) -> None:
    """Let it happen, close what was opened, paint and play now and then."""
    QCoreApplication.processEvents()
    for widget in QApplication.topLevelWidgets():
        if widget not in {window, window.second} and widget.isVisible():
            widget.close()
    if window.second is not None and number % 60 == 59:
        window.second.close()
    if number % 50 == 49:
        window.player.step(20)
        window.grab()
    if not window.desk.session.tracks or sum(1 for _ in window.desk.session.clips) > MOST_CLIPS:
        window.desk.store.undo()


def answer_dialogs(chance: random.Random) -> None:
    """Nobody is there to close them."""
    for name in ("getOpenFileName", "getOpenFileNames", "getSaveFileName"):
        setattr(QFileDialog, name, staticmethod(lambda *_, **__: ("", "")))
    setattr(QFileDialog, "getExistingDirectory", staticmethod(lambda *_, **__: ""))  # noqa: B010
    setattr(QInputDialog, "getText", staticmethod(lambda *_, **__: ("verse", chance.random() < 0.7)))  # noqa: B010
    setattr(QInputDialog, "getInt", staticmethod(lambda *_, **__: (chance.randrange(-9, 99), True)))  # noqa: B010
    setattr(QInputDialog, "getDouble", staticmethod(lambda *_, **__: (chance.uniform(20, 900), True)))  # noqa: B010
    setattr(QInputDialog, "getItem", staticmethod(lambda *args, **_: (chance.choice(args[3]), True)))  # noqa: B010
    for kind, answer in ((QMessageBox, QMessageBox.StandardButton.Cancel), (QDialog, 0)):
        setattr(kind, "exec", lambda _dialog, answer=answer: answer)  # noqa: B010


def pattern_of_a_clip(window: Any) -> None:
    """The first clip taken apart, on keys, and as a pattern of three rounds, one of its steps by chance."""
    window.desk.view.show_stage(Stage.REWORK)
    for name in ("apart", "put-on-keys", "pattern", "rounds-more", "rounds-more", "step-chances-less"):
        window.actions_table.run(name)
    wait_until_ready(window)


def main() -> None:
    count = int(sys.argv[1]) if len(sys.argv) > 1 else 5000
    chance = random.Random(int(sys.argv[2]) if len(sys.argv) > 2 else 1)
    home, raised, last = isolate(), Counter[str](), ""
    application()
    answer_dialogs(chance)

    def note(kind: type, error: BaseException, place: Any) -> None:
        words = f"{kind.__name__}: {error}"
        raised[words] += 1
        if raised[words] == 1:
            print(f"after {last}:", "".join(traceback.format_exception(kind, error, place))[-1500:])

    sys.excepthook = note
    window = build(Settings(), in_process=True, journal=Journal(home / "journals"))
    window.resize(1280, 800)
    window.show()
    window.session_files.open_demo()
    wait_until_ready(window)
    pattern_of_a_clip(window)
    for number in range(count):
        before = window.desk.session
        second = window.second
        is_there = second is not None and second.isVisible()
        at = second if is_there and chance.random() < 0.4 else window
        last = drag(at, chance) if chance.random() < 0.6 else action(at, chance)
        tidy(window, number)
        if window.desk.session is not before:
            try:
                check(window.desk.session)
            except ValueError as error:
                note(type(error), error, error.__traceback__)
    wait_until_ready(window)
    plan_for(window.desk.session)
    print(f"{count} random actions and drags: {sum(raised.values())} exceptions (bar 0)")
    window.desk.store.mark_saved(window.desk.store.history.session)
    window.close()
    QGuiApplication.clipboard().clear()  # files left on the offscreen one outlive Python, and crash its end


if __name__ == "__main__":
    main()
