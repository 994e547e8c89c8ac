"""The play key of headphones and keyboards, over the desktop's bus: MPRIS, where it is wanted.

Source: MPRIS D-Bus Interface Specification, version 2.2.
"""

from typing import TYPE_CHECKING, Any

from PySide6.QtCore import ClassInfo, Property, QObject, Slot

if TYPE_CHECKING:
    from PySide6.QtDBus import QDBusConnection

    from chronotome.bridge.transport import Transport

SERVICE = "org.mpris.MediaPlayer2.chronotome"
PATH = "/org/mpris/MediaPlayer2"


def adaptors(transport: "Transport", parent: QObject) -> list[QObject]:
    """What the bus asks; made here, so that the bus is loaded only where somebody wants it."""
    from PySide6.QtDBus import QDBusAbstractAdaptor  # noqa: PLC0415 - seldom wanted

    interface: Any = ClassInfo  # its stub knows no names with spaces

    @interface({"D-Bus Interface": "org.mpris.MediaPlayer2"})
    class Root(QDBusAbstractAdaptor):
        @Slot()
        def Raise(self) -> None:
            """Desktops have their own ways to windows."""

        @Slot()
        def Quit(self) -> None:
            """A session may have to be saved: the window asks."""

        Identity = Property(str, lambda _self: "Chronotome")
        DesktopEntry = Property(str, lambda _self: "org.chronotome.Chronotome")
        CanQuit = Property(bool, lambda _self: False)
        CanRaise = Property(bool, lambda _self: False)
        HasTrackList = Property(bool, lambda _self: False)

    @interface({"D-Bus Interface": "org.mpris.MediaPlayer2.Player"})
    class Playing(QDBusAbstractAdaptor):
        @Slot()
        def PlayPause(self) -> None:
            transport.toggle()

        @Slot()
        def Play(self) -> None:
            if not transport.is_playing:
                transport.play()

        @Slot()
        def Pause(self) -> None:
            transport.stop()

        @Slot()
        def Stop(self) -> None:
            transport.stop()

        PlaybackStatus = Property(str, lambda _self: "Playing" if transport.is_playing else "Paused")
        CanPlay = Property(bool, lambda _self: True)
        CanPause = Property(bool, lambda _self: True)
        CanControl = Property(bool, lambda _self: True)
        CanSeek = Property(bool, lambda _self: False)
        CanGoNext = Property(bool, lambda _self: False)
        CanGoPrevious = Property(bool, lambda _self: False)

    return [Root(parent), Playing(parent)]


class MediaKeys(QObject):
    """On the bus while it is on. Off by default: desktops show such programs as media players."""

    def __init__(self, transport: "Transport", parent: QObject) -> None:
        super().__init__(parent)
        self._transport = transport
        self._root: QObject | None = None
        self._bus: QDBusConnection | None = None

    def switch(self, *, is_on: bool) -> bool:
        """Whether it is as wanted: False where there is no bus, or another one has the name."""
        if is_on == (self._root is not None):
            return True
        if not is_on:
            self._leave()
            return True
        from PySide6.QtDBus import QDBusConnection  # noqa: PLC0415 - seldom wanted

        root = QObject(self)
        root.setProperty("adaptors", len(adaptors(self._transport, root)))
        bus = QDBusConnection.sessionBus()
        if not (bus.isConnected() and bus.registerObject(PATH, root) and bus.registerService(SERVICE)):
            root.deleteLater()
            return False
        self._root, self._bus = root, bus
        self._transport.playing_changed.connect(self._tell)
        return True

    def _leave(self) -> None:
        if self._bus is not None and self._root is not None:
            self._bus.unregisterService(SERVICE)
            self._bus.unregisterObject(PATH)
            self._transport.playing_changed.disconnect(self._tell)
            self._root.deleteLater()
        self._root = self._bus = None

    def _tell(self, is_playing: bool) -> None:  # noqa: FBT001 - a signal's
        """Desktops show whether it plays."""
        from PySide6.QtDBus import QDBusMessage  # noqa: PLC0415 - seldom wanted

        message = QDBusMessage.createSignal(PATH, "org.freedesktop.DBus.Properties", "PropertiesChanged")
        changed = {"PlaybackStatus": "Playing" if is_playing else "Paused"}
        message.setArguments(["org.mpris.MediaPlayer2.Player", changed, []])
        if self._bus is not None:
            self._bus.send(message)
