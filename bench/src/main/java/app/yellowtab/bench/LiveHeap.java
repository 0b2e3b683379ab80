package app.yellowtab.bench;

import com.sun.management.GarbageCollectionNotificationInfo;
import com.sun.management.GcInfo;
import java.lang.management.ManagementFactory;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import javax.management.ListenerNotFoundException;
import javax.management.Notification;
import javax.management.NotificationEmitter;
import javax.management.NotificationListener;
import javax.management.openmbean.CompositeData;

/** Listens to the collector for the most that was in use after any collection. */
final class LiveHeap implements NotificationListener {
    private final AtomicLong most = new AtomicLong();
    private final List<NotificationEmitter> emitters = ManagementFactory.getGarbageCollectorMXBeans().stream()
            .filter(NotificationEmitter.class::isInstance).map(NotificationEmitter.class::cast).toList();

    LiveHeap() {
        emitters.forEach(emitter -> emitter.addNotificationListener(this, null, null));
    }

    @Override
    public void handleNotification(Notification notification, Object handback) {
        if (!notification.getType().equals(GarbageCollectionNotificationInfo.GARBAGE_COLLECTION_NOTIFICATION)) return;
        GcInfo info = GarbageCollectionNotificationInfo.from((CompositeData) notification.getUserData()).getGcInfo();
        long used = info.getMemoryUsageAfterGc().entrySet().stream()
                .filter(pool -> !pool.getKey().contains("Metaspace") && !pool.getKey().contains("Code")
                        && !pool.getKey().contains("Class"))
                .mapToLong(pool -> pool.getValue().getUsed()).sum();
        most.accumulateAndGet(used, Math::max);
    }

    /** Stops listening; {@return the most, in bytes} */
    long end() {
        for (NotificationEmitter emitter : emitters) {
            try {
                emitter.removeNotificationListener(this);
            } catch (ListenerNotFoundException e) {
                throw new IllegalStateException(e);
            }
        }
        return most.get();
    }
}
