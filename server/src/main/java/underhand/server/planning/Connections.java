package underhand.server.planning;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.ByteBuffer;
import org.apache.coyote.http11.Http11NioProtocol;
import org.apache.tomcat.util.net.NioChannel;
import org.apache.tomcat.util.net.SocketWrapperBase;
import org.springframework.boot.web.embedded.tomcat.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * Tells whether whoever asked is still there. A servlet learns that only when it writes its answer; so the connection's end is
 * looked for by reading from it, which nobody else does while a request is answered.
 */
@Component
class Connections implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

    private volatile Protocol protocol;

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        factory.setProtocol(Protocol.class.getName());
        factory.addConnectorCustomizers(connector -> {
            if (connector.getProtocolHandler() instanceof Protocol ours) {
                protocol = ours;
            }
        });
    }

    /** The web server's own, which lets its connections be seen. Made by the web server, by name. */
    public static final class Protocol extends Http11NioProtocol {

        private Iterable<SocketWrapperBase<NioChannel>> connections() {
            return getEndpoint().getConnections();
        }
    }

    /** The connection of one request. */
    final class Connection {
        private final int remotePort;
        private boolean saysMore;

        private Connection(int remotePort) {
            this.remotePort = remotePort;
        }

        /** Whether its other end was closed. Called by the thread that answers the request. */
        boolean isClosed() {
            if (protocol == null || saysMore) {
                return false;
            }
            for (SocketWrapperBase<NioChannel> socket : protocol.connections()) {
                if (socket.getRemotePort() == remotePort) {
                    return isClosed(socket);
                }
            }
            return true;
        }

        private boolean isClosed(SocketWrapperBase<NioChannel> socket) {
            try {
                ByteBuffer one = ByteBuffer.allocate(1);
                int read = socket.getSocket().getIOChannel().read(one);
                if (read > 0) {
                    // The next request is on its way already: it is given back, and looked at no further.
                    socket.unRead(one.flip());
                    saysMore = true;
                }
                return read < 0;
            } catch (IOException e) {
                return true;
            }
        }
    }

    Connection of(HttpServletRequest request) {
        return new Connection(request.getRemotePort());
    }
}
