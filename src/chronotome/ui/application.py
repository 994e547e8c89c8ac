"""Builds every long-lived object once, wires them, and runs the window, the demo or a picture."""

import argparse
import contextlib
import ctypes
import os
import sys
import tempfile
from functools import partial
from pathlib import Path

from PySide6.QtCore import QCoreApplication, QEventLoop, Qt, QTimer
from PySide6.QtGui import QGuiApplication, QIcon
from PySide6.QtWidgets import QApplication

from chronotome import __version__, assets
from chronotome.bridge.analyses import Analyses
from chronotome.bridge.bands import Bands
from chronotome.bridge.bouncing import Bouncing
from chronotome.bridge.document import OpenSession
from chronotome.bridge.fits import Fits
from chronotome.bridge.in_time import InTimeSwitch
from chronotome.bridge.keys import Keys
from chronotome.bridge.likenesses import Likenesses
from chronotome.bridge.playing_in import PlayingIn
from chronotome.bridge.proving import Proving
from chronotome.bridge.recordings import Recordings
from chronotome.bridge.rendering import Rendering
from chronotome.bridge.shelf import Shelf
from chronotome.bridge.store import Store
from chronotome.bridge.taking import Taking
from chronotome.bridge.tasks import Tasks
from chronotome.bridge.transport import Transport
from chronotome.bridge.unsaved_recordings import UnsavedRecordings
from chronotome.engine.player import Player
from chronotome.errors import UnusableFile
from chronotome.files.desktop import APP_ID
from chronotome.files.journal import Journal
from chronotome.files.places import Settings, load_settings
from chronotome.files.session_file import is_session
from chronotome.render.arena import Arena
from chronotome.ui.language import spoken
from chronotome.ui.state.applying import apply_settings, theme_of
from chronotome.ui.state.guarded import guard_overrides
from chronotome.ui.state.media_keys import MediaKeys
from chronotome.ui.state.preferences import Preferences
from chronotome.ui.state.theme import ASSETS, load_fonts, text_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage, ViewState
from chronotome.ui.window.asked import Asked
from chronotome.ui.window.main_window import MainWindow
from chronotome.ui.window.recovery import offer_recovery, offer_takes
from chronotome.words import tr

ICON = Path(assets.__file__).parent / "desktop" / f"{APP_ID}.svg"
EFFECTS = (
    Qt.UIEffect.UI_AnimateMenu,
    Qt.UIEffect.UI_FadeMenu,
    Qt.UIEffect.UI_AnimateCombo,
    Qt.UIEffect.UI_AnimateTooltip,
    Qt.UIEffect.UI_FadeTooltip,
    Qt.UIEffect.UI_AnimateToolBox,
)
READY_MILLISECONDS = 60000
SETTLE_MILLISECONDS = 150
DEMO_SECONDS = 6.0
FIRST_BAR, BARS_SHOWN = 2, 2
M_MMAP_THRESHOLD, M_ARENA_MAX = -3, -8  # malloc.h
LARGE_BYTES = 16 << 20


def build(
    settings: Settings, *, output: str | None = None, in_process: bool = False, journal: Journal | None = None
) -> MainWindow:
    """A window with nothing in it, and all that it stands on."""
    guard_overrides()
    arena = Arena()
    store = Store()
    player = Player(arena, output=output or settings.output, block=settings.block, in_process=in_process)
    player.use(heard=settings.input)
    tasks = Tasks(store)
    journal = journal or Journal()
    recordings = Recordings(store, tasks, arena)
    analyses, fits = Analyses(store, tasks, recordings), Fits(store, tasks, recordings)
    document = OpenSession(store, tasks, recordings, fits, journal)
    transport = Transport(store, player, arena, store)
    rendering = Rendering(store, recordings.pool, player, arena, store)
    recordings.retired.connect(rendering.retire)
    view = ViewState(store)
    view.theme = theme_of(settings)
    shelf = Shelf(store, tasks, transport, arena, store)
    keys = Keys(store, recordings, player, arena, store)
    asked = Asked()
    kept = UnsavedRecordings(recordings, document, store)
    desk = UiContext(
        store,
        view,
        transport,
        document,
        recordings,
        analyses,
        fits,
        Likenesses(store, tasks, recordings),
        tasks,
        rendering,
        shelf,
        keys,
        PlayingIn(store, transport, keys),
        Taking(store, tasks, recordings, kept, transport, keys, player, arena),
        Bouncing(store, tasks, recordings, kept, arena),
        Proving(store, rendering, arena, store),
        Preferences(settings),
        InTimeSwitch(store, player, transport),
        MediaKeys(transport, store),
        Bands(store, tasks, recordings),
        asked,
    )
    apply_settings(desk, settings, settings)
    desk.preferences.heard += [partial(apply_settings, desk), partial(_use_devices, player, output)]
    window = asked.window = MainWindow(desk, player, journal)
    store.setParent(window)  # and so does all that hangs on it: what they hold is given back with the window
    return window


def _use_devices(player: Player, forced: str | None, before: Settings, now: Settings) -> None:
    """The sound starts anew where another device was chosen; what the command line says comes first."""
    if (before.output, before.input, before.block) != (now.output, now.input, now.block):
        player.use(output=forced or now.output, heard=now.input, block=now.block)


SWITCH_SECONDS = 0.001
"""How long a thread may keep the interpreter: painting must not hold up the sound that is being rendered."""


def give_memory_back() -> None:
    """Large arrays that are freed go back to the machine at once, rather than to the allocator's shelves."""
    with contextlib.suppress(AttributeError):  # not every C library has it
        mallopt = ctypes.CDLL(None).mallopt
        mallopt(M_MMAP_THRESHOLD, LARGE_BYTES)
        mallopt(M_ARENA_MAX, 2)


def application() -> QApplication:
    existing = QApplication.instance()
    if isinstance(existing, QApplication):
        return existing
    give_memory_back()
    sys.setswitchinterval(SWITCH_SECONDS)
    QCoreApplication.setApplicationName("chronotome")
    QCoreApplication.setApplicationVersion(__version__)
    QGuiApplication.setDesktopFileName(APP_ID)
    QApplication.setHighDpiScaleFactorRoundingPolicy(Qt.HighDpiScaleFactorRoundingPolicy.PassThrough)
    QApplication.setAttribute(Qt.ApplicationAttribute.AA_DontUseNativeDialogs)  # dialogs wear the theme
    qt = QApplication(sys.argv[:1])
    for translator in spoken():
        qt.installTranslator(translator)  # what Qt itself says
    qt.setWindowIcon(QIcon(str(ICON)))
    QIcon.setThemeSearchPaths([str(ASSETS / "pictures")])
    QIcon.setThemeName("chronotome")  # of dialogs of files: nothing there comes from elsewhere
    qt.setStyle("Fusion")
    for effect in EFFECTS:  # nothing moves by itself but the playhead, and the page that it turns
        qt.setEffectEnabled(effect, False)
    load_fonts()
    qt.setFont(text_font(12))
    return qt


def has_display() -> bool:
    return any(os.environ.get(name) for name in ("DISPLAY", "WAYLAND_DISPLAY", "QT_QPA_PLATFORM"))


def run(arguments: argparse.Namespace) -> int:
    """Open, demo or shot, as the command line says."""
    if arguments.command == "shot":
        os.environ.setdefault("QT_QPA_PLATFORM", "offscreen")
        return shot(arguments)
    if not has_display():
        os.environ["QT_QPA_PLATFORM"] = "offscreen"
        if arguments.command == "demo":
            return demo_without_display()
        print("chronotome: there is no display. Set DISPLAY, or use the commands: --help.", file=sys.stderr)
        return 1
    qt = application()
    window = build(load_settings(), output=_output(arguments))
    window.show()
    if arguments.command == "demo":
        window.session_files.open_demo()
        show_demo_view(window)
    files = [] if arguments.command == "demo" else arguments.files
    if not offer_recovery(window, files):
        if files:
            window.open(files)
        offer_takes(window)
    window.trays.build_quietly()
    return qt.exec()


def _output(arguments: argparse.Namespace) -> str | None:
    return "simulated" if arguments.output == "simulated" else None


def wait_until_ready(window: MainWindow) -> None:
    """Until everything is read, analysed and rendered; runs the event loop."""
    loop = QEventLoop()
    timer = QTimer()
    timer.timeout.connect(lambda: _leave_when_ready(window, loop))
    timer.start(20)
    QTimer.singleShot(READY_MILLISECONDS, loop.quit)
    loop.exec()


def _leave_when_ready(window: MainWindow, loop: QEventLoop) -> None:
    desk = window.desk
    if desk.tasks.is_idle and (desk.rendering.is_current or not desk.session.tracks):
        loop.quit()


def _wait_for_proof(window: MainWindow) -> None:
    """Its lane and its words are what Export is looked at for."""
    loop = QEventLoop()
    window.desk.proving.proved.connect(loop.quit)
    QTimer.singleShot(READY_MILLISECONDS, loop.quit)
    if window.desk.proving.proof is None:
        loop.exec()
    window.desk.proving.proved.disconnect(loop.quit)


def pause(milliseconds: int) -> None:
    loop = QEventLoop()
    QTimer.singleShot(milliseconds, loop.quit)
    loop.exec()


def show_demo_view(window: MainWindow) -> None:
    """Two bars with something worth looking at, once they can be seen."""
    document = window.desk.document

    def look() -> None:
        document.opened.disconnect(look)
        session, view = window.desk.session, window.desk.view
        view.show_stage(Stage.TIGHTEN)
        ends = [session.metre.beat_of(FIRST_BAR - 1 + bars) for bars in (0, BARS_SHOWN)]
        first, last = (session.frame_of(beat) for beat in ends)
        view.sight.show(view.sight.viewport.fitted(first, last))
        window.desk.transport.go_to(first)

    document.opened.connect(look)


def shot(arguments: argparse.Namespace) -> int:
    """A picture of a stage, without touching the screen or the settings."""
    width, height = arguments.size
    _qt = application()
    errors: list[str] = []
    with tempfile.TemporaryDirectory() as folder:
        window = build(Settings(theme=arguments.theme), output="simulated", journal=Journal(Path(folder)))
        window.desk.tasks.error.disconnect()
        window.desk.tasks.error.connect(errors.append)
        window.resize(width, height)
        window.show()
        if arguments.session == "demo":
            show_demo_view(window)
            window.session_files.open_demo()
        elif is_session(Path(arguments.session)) or Path(arguments.session).is_file():
            window.open([Path(arguments.session)])
        else:
            errors.append(
                str(
                    UnusableFile(
                        arguments.session, tr("is neither a session nor an audio file"), tr("Check the name.")
                    )
                )
            )
        wait_until_ready(window)
        tracks = [each.id for each in window.desk.session.tracks if each.name == arguments.track]
        if tracks:
            window.desk.view.chosen.focus(tracks[0])
            window.desk.view.sight.fit()
        elif arguments.track:
            errors.append(tr("There is no track “{0}”.", arguments.track))
        if not errors:
            take_picture(window, Stage[arguments.stage.upper()], Path(arguments.out), errors)
        window.desk.store.mark_saved(window.desk.store.history.session)
        window.close()
    for error in errors:
        print(f"chronotome: {error}", file=sys.stderr)
    return 1 if errors else 0


def take_picture(window: MainWindow, stage: Stage, path: Path, errors: list[str]) -> None:
    """Show a stage as a person would leave it, and write what is on screen."""
    view = window.desk.view
    view.show_stage(stage)
    if stage is Stage.REWORK:
        view.sight.fit()
    track = view.chosen.focused
    if stage is Stage.TIGHTEN and track is not None:
        guide = window.desk.session.track(window.desk.session.guide_of(track.id))
        checks = window.desk.checks(guide, None)
        if checks:
            view.chosen.select(checks[0].onset)
    view.hint(
        window.timeline.evidence["drift"].hint if stage is Stage.TIGHTEN else window.timeline.wave.hint_now()
    )
    if stage is Stage.EXPORT and window.desk.session.tracks:
        _wait_for_proof(window)
    pause(SETTLE_MILLISECONDS)
    if not window.grab().save(str(path)):
        errors.append(tr("Cannot write “{0}”. Choose another folder and an extension such as .png.", path))


def demo_without_display() -> int:
    """The same window offscreen: plays a few bars, and writes a picture of each stage."""
    print("There is no display: running the window offscreen, with the simulated output.")
    _qt = application()
    folder = Path(tempfile.mkdtemp(prefix="chronotome-demo-"))
    errors: list[str] = []
    window = build(Settings(), output="simulated", journal=Journal(folder / "journal"))
    window.desk.tasks.error.connect(errors.append)
    window.show()
    show_demo_view(window)
    window.session_files.open_demo()
    wait_until_ready(window)
    transport = window.desk.transport
    transport.play()
    pause(int(1000 * DEMO_SECONDS))
    reached = transport.position / window.desk.session.rate
    transport.stop()
    window.export_tray.export(folder / "harbour-ferry.wav")
    wait_until_ready(window)
    for stage in Stage:
        take_picture(window, stage, folder / f"{int(stage)}-{stage.name.lower()}.png", errors)
    dropouts = transport.device.dropouts
    window.close()
    print(f"Played up to {reached:.1f} s with {dropouts} dropouts. Pictures and the export are in {folder}")
    for error in errors:
        print(f"chronotome: {error}", file=sys.stderr)
    return 1 if errors else 0
