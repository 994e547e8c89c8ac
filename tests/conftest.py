"""Fixtures that speak the domain."""

import os

import pytest
from hypothesis import settings

settings.register_profile("desk", max_examples=40, deadline=None)
settings.register_profile("ci", max_examples=100, deadline=None, derandomize=True)
settings.load_profile("ci" if os.environ.get("CI") else "desk")


@pytest.fixture(autouse=True)
def own_home(tmp_path_factory, monkeypatch):
    """No test reads or writes the real settings, caches or journals."""
    home = tmp_path_factory.mktemp("home")
    monkeypatch.setenv("HOME", str(home))
    for name in ("CONFIG", "STATE", "CACHE", "DATA"):
        monkeypatch.setenv(f"XDG_{name}_HOME", str(home / name.lower()))
    return home


class Person:
    """Someone at the window: real widgets, real mouse and keys."""

    def __init__(self, window, qtbot) -> None:
        self.window, self.bot, self.desk = window, qtbot, window.desk

    @property
    def session(self):
        return self.desk.store.session

    def wait(self, condition) -> None:
        self.bot.waitUntil(condition, timeout=30_000)

    def settle(self) -> None:
        """Until all is read, analysed, rendered and with the player."""
        self.wait(lambda: self.desk.tasks.is_idle and self.desk.rendering.is_current)
        if self.window.player.is_in_process:
            self.window.player.step(2)

    def press(self, keys, modifier=None) -> None:
        from PySide6.QtCore import Qt

        self.bot.keyClick(self.window, keys, modifier or Qt.KeyboardModifier.NoModifier)

    def type_into(self, field, text, key=None) -> None:
        """Clicked, typed anew, and left by a key, by Enter where none is named."""
        from PySide6.QtCore import Qt

        self.click(field)
        field.selectAll()
        self.bot.keyClicks(field, text)
        self.bot.keyClick(field, key or Qt.Key.Key_Return)

    def press_in(self, widget, key) -> None:
        """A key, where the keyboard is with a widget."""
        self.bot.keyClick(widget, key)

    def drag(self, widget, start, end, *, modifier=None, release=True) -> None:
        from PySide6.QtCore import QPoint, Qt

        modifier = modifier or Qt.KeyboardModifier.NoModifier
        first, last = QPoint(*map(round, start)), QPoint(*map(round, end))
        self.bot.mousePress(widget, Qt.MouseButton.LeftButton, modifier, first)
        for share in (0.25, 0.5, 0.75, 1.0):
            self.move(widget, first + (last - first) * share, modifier)
        if release:
            self.bot.mouseRelease(widget, Qt.MouseButton.LeftButton, modifier, last)

    @staticmethod
    def move(widget, place, modifier) -> None:
        """A move with a button held and keys down, which QTest does not send."""
        from PySide6.QtCore import QEvent, QPointF, Qt
        from PySide6.QtGui import QMouseEvent
        from PySide6.QtWidgets import QApplication

        button = Qt.MouseButton.LeftButton
        where = QPointF(widget.mapToGlobal(place))
        event = QMouseEvent(QEvent.Type.MouseMove, QPointF(place), where, button, button, modifier)
        QApplication.sendEvent(widget, event)

    def click(self, widget, place=None) -> None:
        from PySide6.QtCore import QPoint, Qt

        where = QPoint(*map(round, place)) if place else QPoint()
        self.bot.mouseClick(widget, Qt.MouseButton.LeftButton, pos=where)

    def wheel(self, widget, amount) -> None:
        from PySide6.QtCore import QPoint, QPointF, Qt
        from PySide6.QtGui import QWheelEvent
        from PySide6.QtWidgets import QApplication

        middle, none = QPointF(widget.rect().center()), Qt.MouseButton.NoButton
        where, keys = QPointF(widget.mapToGlobal(middle)), Qt.KeyboardModifier.NoModifier
        phase = Qt.ScrollPhase.NoScrollPhase
        event = QWheelEvent(middle, where, QPoint(), QPoint(0, amount), none, keys, phase, False)
        QApplication.sendEvent(widget, event)

    def double_click(self, widget, place) -> None:
        from PySide6.QtCore import QPoint, Qt

        self.bot.mouseDClick(widget, Qt.MouseButton.LeftButton, pos=QPoint(*map(round, place)))

    def drop(self, *paths) -> None:
        from PySide6.QtCore import QMimeData, QPointF, Qt, QUrl
        from PySide6.QtGui import QDropEvent

        data = QMimeData()
        data.setUrls([QUrl.fromLocalFile(str(path)) for path in paths])
        copy, button = Qt.DropAction.CopyAction, Qt.MouseButton.LeftButton
        keys = Qt.KeyboardModifier.NoModifier
        self.window.dropEvent(QDropEvent(QPointF(300, 300), copy, data, button, keys))

    def listen(self, seconds: float, start: int = 0):
        """What is heard from a frame on."""
        from chronotome.engine.control import Word

        player = self.window.player
        player.step(2)
        before = player.control.get(Word.PLAYED)
        self.desk.transport.go_to(start)
        self.desk.transport.play()
        player.step(int(seconds * self.session.rate / 512))
        self.desk.transport.stop()
        heard = player.played()[before:]
        player.step(2)
        return heard

    def offline(self, frames: int, side=None, start: int = 0):
        """What the session sounds like, rendered afresh."""
        from chronotome.render.arena import Arena
        from chronotome.render.mix import Side
        from chronotome.render.plan import plan_for
        from chronotome.render.renderer import OfflineMix, Renderer, render_mix

        arena = self.desk.recordings.arena
        assert isinstance(arena, Arena)
        mix = render_mix(Renderer(arena), plan_for(self.session), self.desk.recordings.pool.ready())
        return OfflineMix(mix, arena).read(start, frames, Side.EDITED if side is None else side)


@pytest.fixture
def person(qtbot, tmp_path):
    """The window, empty, with a player that plays when it is told to."""
    from chronotome.files.journal import Journal
    from chronotome.files.places import Settings
    from chronotome.ui.application import application, build

    application()
    window = build(Settings(), in_process=True, journal=Journal(tmp_path / "journals"))
    window.show()
    someone = Person(window, qtbot)
    yield someone
    window.desk.store.mark_saved(window.desk.store.history.session)
    window.close()
    window.deleteLater()
    qtbot.wait(1)


@pytest.fixture
def hits_file(tmp_path):
    """Sixteen hits around 120 bpm, every second one early or late."""
    from sounds import noise_hits, write

    step, rate = 12000, 48000
    frames = [1200 + place * step + (0, 700, 0, -600)[place % 4] for place in range(16)]
    return write(tmp_path / "stairwell.wav", noise_hits(frames, 17 * step, rate=rate, channels=2), rate=rate)


@pytest.fixture
def at_work(person, hits_file):
    """The file is open, its beat one set, and it is tightened by half."""
    from chronotome.session.edits.tempo import set_tempo
    from chronotome.session.edits.tightening import set_tighten
    from chronotome.session.edits.timing import set_beat_one
    from chronotome.session.grid import Grid
    from chronotome.ui.state.view_state import Stage

    person.window.open([hits_file])
    person.settle()
    track = person.session.tracks[0].id
    person.desk.store.apply(lambda s: set_beat_one(set_tempo(s, 120.0), 0.025), "Fit")
    person.desk.store.apply(lambda s: set_tighten(s, track, strength=0.5, grid=Grid(8)), "Tighten")
    person.desk.view.show_stage(Stage.TIGHTEN)
    person.desk.view.sight.fit()
    person.settle()
    return person
