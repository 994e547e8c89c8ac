"""What was chosen in Preferences, put to work at once: at the start, and whenever it is another."""

from PySide6.QtCore import Qt
from PySide6.QtGui import QGuiApplication

from chronotome.engine.control import InTime
from chronotome.files.places import Settings
from chronotome.session.model import Click, Session
from chronotome.ui.state.theme import DAY, NIGHT, STARK_DAY, STARK_NIGHT, Theme
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

DESKTOP = "desktop"
"""The theme that is as the desktop's is."""


def theme_of(settings: Settings) -> Theme:
    """Day or night, of high contrast where that is chosen, or what the desktop asks for."""
    hints = QGuiApplication.styleHints()
    is_dark = settings.theme == "night"
    if settings.theme == DESKTOP:
        is_dark = hints.colorScheme() is Qt.ColorScheme.Dark
    is_stark = settings.contrast == "high"
    if settings.contrast == DESKTOP:
        is_stark = hints.accessibility().contrastPreference() is Qt.ContrastPreference.HighContrast
    return (STARK_NIGHT if is_dark else STARK_DAY) if is_stark else (NIGHT if is_dark else DAY)


def _switch_media_keys(desk: UiContext, *, is_on: bool) -> None:
    if not desk.media_keys.switch(is_on=is_on):
        desk.say(tr("Cannot use media keys: the desktop has no session bus"))


def apply_settings(desk: UiContext, before: Settings, settings: Settings) -> None:
    """All but the sound devices, which start anew."""
    document = desk.document
    if before.midi != settings.midi or before is settings:
        desk.keys.listen_to_midi(settings.midi)
    desk.in_time.send_clock(settings.clock_to)
    desk.in_time.give_ports(settings.jack_ports)
    desk.in_time.use(InTime[settings.in_time.upper()])
    if settings.has_media_keys or before.has_media_keys:
        _switch_media_keys(desk, is_on=settings.has_media_keys)
    document.steps_kept = settings.steps_kept
    document.save_every(settings.autosave_minutes)
    first = Session(click=Click(sound=settings.click))
    if first != document.first:
        document.begin_with(first)
    desk.taking.delays_ms = settings.input_ms
    desk.view.set_theme(theme_of(settings))
