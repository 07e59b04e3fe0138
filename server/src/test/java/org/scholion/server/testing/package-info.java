/** What tests of the server and of the interface stand on: the running application, visitors, a lesson of their own. */
package org.scholion.server.testing;
