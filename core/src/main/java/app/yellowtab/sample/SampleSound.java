package app.yellowtab.sample;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Path;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;

/** A recording of the matter: a telephone that rings, and nobody answers. */
final class SampleSound {
    private static final int RATE = 8000;
    private static final int SECONDS = 84;
    private static final int RINGS_EVERY_SECONDS = 4;
    private static final double HIGH_HZ = 450;
    private static final double LOW_HZ = 400;

    private SampleSound() {}

    static void write(Path target) throws IOException {
        byte[] samples = new byte[RATE * SECONDS];
        for (int i = 0; i < samples.length; i++) {
            double second = i / (double) RATE;
            boolean rings = second % RINGS_EVERY_SECONDS < 1;
            double height = rings ? (Math.sin(2 * Math.PI * HIGH_HZ * second) + Math.sin(2 * Math.PI * LOW_HZ * second)) / 2 : 0;
            samples[i] = (byte) Math.round(height * 90);
        }
        AudioFormat format = new AudioFormat(RATE, 8, 1, true, false);
        try (AudioInputStream sound = new AudioInputStream(new ByteArrayInputStream(samples), format, samples.length)) {
            AudioSystem.write(sound, AudioFileFormat.Type.WAVE, target.toFile());
        }
    }
}
